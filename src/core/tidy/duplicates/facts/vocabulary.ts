import type { DuplicateFacts } from './facts';

/** A smaller book says little about how common a value is; it is treated as a sample of one this large. Our choice. */
const SMALLEST_BOOK = 500;

/** What is counted: n words of names, b two of them side by side, m mail addresses, p ends of numbers, o employers, h words of organisations, t towns, a streets, w hosts. */
export type Counted = 'n' | 'b' | 'm' | 'p' | 'o' | 'h' | 't' | 'a' | 'w';

/** How often values occur in a book: what is rare says more than what is common (Winkler 2000). */
export class Vocabulary {
  private readonly counts: Readonly<Record<Counted, Map<string, number>>> = {
    ...{ n: new Map(), b: new Map(), m: new Map(), p: new Map(), o: new Map() },
    ...{ h: new Map(), t: new Map(), a: new Map(), w: new Map() },
  };
  /** Of words of names: how often a card has them as a given name less how often as a surname. */
  private readonly leanings = new Map<string, number>();
  /** Cards. */
  cards = 0;
  /** Pairs of cards of one organisation. */
  colleagues = 0;

  constructor(all: Iterable<DuplicateFacts> = []) {
    for (const one of all) this.put(one);
  }

  /** Cards, of a small book as many as it is taken for. */
  get size(): number {
    return Math.max(SMALLEST_BOOK, this.cards);
  }

  /** Pairs of cards that would have one full name if any given name could go with any surname. */
  countAccidents(): number {
    let [givens, surnames] = [0, 0];
    for (const [word, count] of this.counts.n) {
      const pairs = (count * (count - 1)) / 2;
      if (this.leaningOf(word) > 0) givens += pairs;
      else surnames += pairs;
    }
    return (2 * givens * surnames) / Math.max(1, this.cards * (this.cards - 1));
  }

  /** Counts a card. */
  put(one: DuplicateFacts): void {
    this.count(one, 1);
  }

  /** Takes a card out again that was counted as it is. */
  remove(one: DuplicateFacts): void {
    this.count(one, -1);
  }

  /** How many cards have a value; 1 for one that is not in the book. */
  countOf(kind: Counted, value: string): number {
    return this.counts[kind].get(value) ?? 1;
  }

  /** How many cards have two words of a name side by side. */
  countOfBoth(a: string, b: string): number {
    return this.counts.b.get(a < b ? `${a} ${b}` : `${b} ${a}`) ?? 0;
  }

  /** The chance that another card has a value by itself, 0 to 1. */
  chanceOf(kind: Counted, value: string): number {
    return Math.max(1, this.countOf(kind, value) - 1) / this.size;
  }

  /** Above 0 for a word that the book has as a given name rather than as a surname, below 0 for the other way round. */
  leaningOf(word: string): number {
    return this.leanings.get(word) ?? 0;
  }

  private count(
    { name, mails, phones, employers, house, towns, streets, hosts }: DuplicateFacts,
    by: 1 | -1,
  ): void {
    const { words } = name;
    this.cards += by;
    this.add(
      'n',
      words.map(({ text }) => text),
      by,
    );
    for (const [i, { text, role }] of words.entries()) {
      if (role !== 'open') this.lean(text, role === 'given' ? by : -by);
      const before = words[i - 1]?.text;
      if (before !== undefined)
        this.add('b', [before < text ? `${before} ${text}` : `${text} ${before}`], by);
    }
    for (const employer of new Set(employers)) {
      const others = (this.counts.o.get(employer) ?? 0) - (by === 1 ? 0 : 1);
      this.colleagues += by * others;
    }
    this.add('m', mails, by);
    this.add(
      'p',
      phones.map(({ tail }) => tail),
      by,
    );
    this.add('o', employers, by);
    this.add('h', house, by);
    this.add('t', towns, by);
    this.add('a', streets, by);
    this.add('w', hosts, by);
  }

  private lean(word: string, by: number): void {
    const leaning = this.leaningOf(word) + by;
    if (leaning === 0) this.leanings.delete(word);
    else this.leanings.set(word, leaning);
  }

  /** Counts the values of a card, each once. */
  private add(kind: Counted, values: readonly string[], by: 1 | -1): void {
    const counts = this.counts[kind];
    for (let i = 0; i < values.length; i += 1) {
      const value = values[i] ?? '';
      if (values.indexOf(value) !== i) continue;
      const count = (counts.get(value) ?? 0) + by;
      if (count > 0) counts.set(value, count);
      else counts.delete(value);
    }
  }
}
