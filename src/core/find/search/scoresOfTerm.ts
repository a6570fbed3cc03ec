import { FIELDS } from '../rules/fields';
import { type CardTable, fieldIn, placeIn } from './cardTable';
import { maxTypos } from './nearness';
import { RuleSets } from './ruleSets';
import { put } from './scores';
import type { Term } from './terms';

/** The weight of a match in each field, in the order of FIELDS. Our choice. */
const WEIGHTS = [10, 8, 7, 6, 5, 4, 3, 3, 3, 2.5, 2, 2, 2, 2, 1.5, 1.5, 1.2];

/** A whole word counts more than its beginning. Our choice. */
const WHOLE_WORD = 1.5;

/** A word with one typo counts less; with two, less again. Our choice. */
const TYPO = 0.4;

/**
 * How well each place fits a word, 0 where it doesn't; a word that nothing begins with may have a letter wrong.
 *
 * @param today - for lists by rule
 * @param spare - an array of that length to be written over
 */
export function scoresOfTerm(
  table: CardTable,
  { word, spellings, digits, home }: Term,
  { today, spare }: { today: string; spare?: Float32Array | undefined },
): Float32Array {
  const count = table.slots.length;
  const scores = spare?.length === count ? spare.fill(0) : new Float32Array(count);
  let isFound = false;
  for (const one of [word, ...spellings])
    table.words.forEachPrefix(one, (posting, isWhole) => {
      isFound = true;
      put(scores, placeIn(posting), (WEIGHTS[fieldIn(posting)] ?? 1) * (isWhole ? WHOLE_WORD : 1));
    });
  for (const one of [digits, home])
    if (one !== undefined) isFound = findDigits(table, one, scores) || isFound;
  const typos = isFound || digits !== undefined ? 0 : maxTypos(word);
  if (typos > 0) {
    table.words.forEachNear(word, typos, (posting, count) =>
      put(scores, placeIn(posting), (WEIGHTS[fieldIn(posting)] ?? 1) * TYPO ** count),
    );
  }
  spread(table, scores, today);
  return scores;
}

/** What is found by its name brings those along who are on it, if a list, or who name it as related. */
function spread(table: CardTable, scores: Float32Array, today: string): void {
  const [onList, related] = [FIELDS.indexOf('list'), FIELDS.indexOf('relation')].map(
    (at) => WEIGHTS[at] ?? 1,
  );
  const named = WEIGHTS[0] ?? 1;
  for (const place of table.lists.values()) {
    const doc = table.slots[place]?.doc;
    if (!doc || (scores[place] ?? 0) < named) continue;
    new RuleSets(table, today)
      .onList(doc.uid)
      .forEach((isOn, at) => isOn === 1 && !isListAt(table, at) && put(scores, at, onList ?? 1));
  }
  for (const [uid, places] of table.relatedTo) {
    const place = table.placeOf(uid);
    if (place === undefined || (scores[place] ?? 0) < named) continue;
    for (const at of places) put(scores, at, related ?? 1);
  }
}

function isListAt(table: CardTable, place: number): boolean {
  return table.slots[place]?.doc.kind === 'list';
}

function findDigits(table: CardTable, digits: string, scores: Float32Array): boolean {
  const weight = WEIGHTS[FIELDS.indexOf('number')] ?? 1;
  const numbers = table.digits;
  let isFound = false;
  for (let place = 0; place < numbers.length; place += 1) {
    if (numbers[place]?.includes(digits) !== true) continue;
    isFound = true;
    put(scores, place, weight);
  }
  return isFound;
}
