import { foldedWords, foldText } from '../text';
import { type Field, FIELDS, type SearchDoc } from './toSearchDoc';
import { WordTable } from './wordTable';

/** A card that was found, and the value that speaks for it. */
export interface Hit {
  readonly uid: string;
  readonly score: number;
  readonly field: Field;
  /** The value that a word of the query was found in; of several the one that isn't the name. */
  readonly value: string;
}

/** How much a find in each field counts, in the order of FIELDS. Ours. */
const WEIGHTS = [10, 8, 7, 6, 5, 4, 3, 3];

/** A whole word counts more than its beginning. Ours. */
const WHOLE_WORD = 1.5;

/** Digits that must be typed before parts of numbers are looked for; fewer would find nearly everything. */
const MIN_DIGITS = 3;

interface Slot {
  readonly doc: SearchDoc;
  readonly sortKey: string;
}

/**
 * Finds cards by the beginnings of words, and numbers by any part of them. All words of a query must be found, in
 * any fields and any order.
 *
 * Holds about 1.5 kB a card. Adding, replacing and removing need no rebuilding.
 */
export class SearchIndex {
  private readonly words = new WordTable();
  private readonly slots: (Slot | undefined)[] = [];
  private readonly places = new Map<string, number>();

  get size(): number {
    return this.places.size;
  }

  /** Adds a card, in place of what was known of it. */
  add(doc: SearchDoc): void {
    this.remove(doc.uid);
    const place = this.slots.push({ doc, sortKey: foldText(doc.shown) }) - 1;
    this.places.set(doc.uid, place);
    for (const [field, value] of doc.values) {
      for (const word of foldedWords(value))
        this.words.add(word, place * FIELDS.length + FIELDS.indexOf(field));
    }
  }

  /** Forgets a card; one that isn't known is no fault. */
  remove(uid: string): void {
    const place = this.places.get(uid);
    if (place === undefined) return;
    // Its postings stay and lead nowhere; they are as few as the edits of one sitting.
    this.slots[place] = undefined;
    this.places.delete(uid);
  }

  /**
   * @param limit - how many hits at most
   * @returns best first, then by name; nothing for a query without a letter or digit
   */
  query(text: string, limit = 50): Hit[] {
    const terms = toTerms(text);
    let total: Float32Array | undefined;
    for (const term of terms) {
      const scores = this.findTerm(term);
      if (total) addWhereBoth(total, scores);
      else total = scores;
    }
    if (!total) return [];
    return this.best(total, limit).flatMap((place) => {
      const slot = this.slots[place];
      return slot ? [toHit(slot.doc, total[place] ?? 0, terms)] : [];
    });
  }

  /** Score by place, 0 where the term isn't found. */
  private findTerm({ word, digits }: Term): Float32Array {
    const scores = new Float32Array(this.slots.length);
    const fields = FIELDS.length;
    this.words.forEachPrefix(word, (posting, isWhole) => {
      const place = Math.floor(posting / fields);
      const score = (WEIGHTS[posting % fields] ?? 1) * (isWhole ? WHOLE_WORD : 1);
      if (score > (scores[place] ?? 0)) scores[place] = score;
    });
    if (digits !== undefined) this.findDigits(digits, scores);
    return scores;
  }

  /** Places by score, then by name. Scores are few, so only as many levels as are wanted get sorted by name. */
  private best(scores: Float32Array, limit: number): number[] {
    const levels = new Map<number, number[]>();
    for (let place = 0; place < scores.length; place += 1) {
      const score = scores[place] ?? 0;
      if (score === 0 || !this.slots[place]) continue;
      const level = levels.get(score);
      if (level) level.push(place);
      else levels.set(score, [place]);
    }
    const best: number[] = [];
    for (const score of [...levels.keys()].sort((a, b) => b - a)) {
      if (best.length >= limit) break;
      best.push(...this.firstByName(levels.get(score) ?? [], limit - best.length));
    }
    return best;
  }

  /** The first by name, by keeping the best so far in order: most names are turned away by one comparison. */
  private firstByName(places: readonly number[], limit: number): number[] {
    const key = (place: number | undefined) =>
      place === undefined ? '' : (this.slots[place]?.sortKey ?? '');
    const kept: number[] = [];
    for (const place of places) {
      const name = key(place);
      if (kept.length >= limit && name >= key(kept.at(-1))) continue;
      let [low, high] = [0, kept.length];
      while (low < high) {
        const middle = (low + high) >> 1;
        if (key(kept[middle]) <= name) low = middle + 1;
        else high = middle;
      }
      kept.splice(low, 0, place);
      if (kept.length > limit) kept.pop();
    }
    return kept;
  }

  private findDigits(digits: string, scores: Float32Array): void {
    const weight = WEIGHTS[FIELDS.indexOf('number')] ?? 1;
    for (const [place, slot] of this.slots.entries()) {
      if (!slot?.doc.digits.some((number) => number.includes(digits))) continue;
      if (weight > (scores[place] ?? 0)) scores[place] = weight;
    }
  }
}

/** One word of a query; `digits` where it may be part of a number, without the zeros that only dial abroad. */
interface Term {
  readonly word: string;
  readonly digits?: string;
}

/** "0158 55 brz" is a part of a number and a word: digits that stand together are one number. */
function toTerms(text: string): Term[] {
  const joined = foldText(text).replace(/[+(]?\d[\d\s()./-]*\d/g, (run) => ` ${run.replace(/\D/g, '')} `);
  return (joined.match(/[\p{L}\p{N}]+/gu) ?? []).map((word) => {
    const digits = /^\d+$/.test(word) ? word.replace(/^0+/, '') : '';
    return digits.length >= MIN_DIGITS ? { word, digits } : { word };
  });
}

/** Adds scores up where both have one, and strikes out the others. */
function addWhereBoth(total: Float32Array, scores: Float32Array): void {
  for (let place = 0; place < total.length; place += 1) {
    const a = total[place] ?? 0;
    const b = scores[place] ?? 0;
    total[place] = a > 0 && b > 0 ? a + b : 0;
  }
}

/** Which value to show beside the name: the first that holds a word the name doesn't begin with. */
function toHit(doc: SearchDoc, score: number, terms: readonly Term[]): Hit {
  const nameWords = foldedWords(doc.shown);
  const unnamed = terms.filter(({ word }) => !nameWords.some((name) => name.startsWith(word)));
  for (const { word, digits } of unnamed) {
    const match = doc.values.find(
      ([field, value]) =>
        foldedWords(value).some((one) => one.startsWith(word)) ||
        (field === 'number' && digits !== undefined && value.replace(/\D/g, '').includes(digits)),
    );
    if (match) return { uid: doc.uid, score, field: match[0], value: match[1] };
  }
  return { uid: doc.uid, score, field: 'name', value: doc.shown };
}
