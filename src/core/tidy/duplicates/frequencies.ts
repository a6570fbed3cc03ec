import type { DuplicateFacts } from './facts';

/** A smaller book says little about how common a name is; it is treated as a sample of one this large. Our choice. */
const SMALLEST_BOOK = 500;

/** How often values occur in a book: what is rare says more than what is common. */
export class Frequencies {
  private readonly counts = new Map<string, number>();
  readonly size: number;

  constructor(all: readonly DuplicateFacts[]) {
    this.size = Math.max(SMALLEST_BOOK, all.length);
    for (const one of all)
      for (const key of valuesOf(one)) this.counts.set(key, (this.counts.get(key) ?? 0) + 1);
  }

  /** How many cards have a value. @param kind - as in valuesOf: s for a surname, g, m, p, o, h */
  countOf(kind: string, value: string): number {
    return this.counts.get(`${kind} ${value}`) ?? 1;
  }

  /**
   * The weight of an agreement in bits: how much likelier it is between two cards of one person than between any two.
   *
   * @param agrees01 - how often it holds between two cards of one person
   */
  weightOf(kind: string, value: string, agrees01: number): number {
    return Math.log2((agrees01 * this.size) / Math.max(2, this.countOf(kind, value)));
  }
}

function valuesOf({ surname, given, mails, phones, employers, house }: DuplicateFacts): Set<string> {
  return new Set([
    ...surname.map((word) => `s ${word}`),
    ...given.map((word) => `g ${word}`),
    ...mails.map((mail) => `m ${mail}`),
    ...phones.map((phone) => `p ${phone}`),
    ...employers.map((name) => `o ${name}`),
    ...house.map((word) => `h ${word}`),
  ]);
}
