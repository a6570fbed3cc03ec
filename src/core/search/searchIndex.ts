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
      for (const word of foldedWords(value)) this.words.add(word, place * FIELDS.length + FIELDS.indexOf(field));
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
    let found: Map<number, number> | undefined;
    for (const term of terms) {
      const next = this.findTerm(term);
      found = found ? intersect(found, next) : next;
    }
    const ranked = [...(found ?? [])].map(([place, score]) => ({ slot: this.slots[place], score }));
    ranked.sort((a, b) => b.score - a.score || compareKeys(a.slot, b.slot));
    return ranked.slice(0, limit).flatMap(({ slot, score }) => (slot ? [toHit(slot.doc, score, terms)] : []));
  }

  private findTerm({ word, digits }: Term): Map<number, number> {
    const scores = new Map<number, number>();
    this.words.forEachPrefix(word, (posting, isWhole) => {
      const place = Math.floor(posting / FIELDS.length);
      const score = (WEIGHTS[posting % FIELDS.length] ?? 1) * (isWhole ? WHOLE_WORD : 1);
      if (this.slots[place] && score > (scores.get(place) ?? 0)) scores.set(place, score);
    });
    if (digits !== undefined) this.findDigits(digits, scores);
    return scores;
  }

  private findDigits(digits: string, scores: Map<number, number>): void {
    const weight = WEIGHTS[FIELDS.indexOf('number')] ?? 1;
    for (const [place, slot] of this.slots.entries()) {
      if (!slot?.doc.digits.some((number) => number.includes(digits))) continue;
      if (weight > (scores.get(place) ?? 0)) scores.set(place, weight);
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

function intersect(a: ReadonlyMap<number, number>, b: ReadonlyMap<number, number>): Map<number, number> {
  const [small, large] = a.size < b.size ? [a, b] : [b, a];
  const both = new Map<number, number>();
  for (const [place, score] of small) {
    const other = large.get(place);
    if (other !== undefined) both.set(place, score + other);
  }
  return both;
}

function compareKeys(a: Slot | undefined, b: Slot | undefined): number {
  const [first, second] = [a?.sortKey ?? '', b?.sortKey ?? ''];
  return first < second ? -1 : Number(first > second);
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
