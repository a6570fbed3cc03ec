import { Cultures } from './cultures';
import type { DuplicateFacts } from './facts';
import type { NameWord } from './nameWords';

/** A smaller book says little about how common a value is; it is treated as a sample of one this large. Our choice. */
const SMALLEST_BOOK = 500;

/** The same of a book that has taught nothing. Ours. */
const UNTAUGHT_TOGETHER = 6;

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
  private cultures: Cultures | undefined;
  /** Cards. */
  cards = 0;
  /** Cards of people with mail addresses and numbers, with mail addresses only, with numbers only. */
  private readonly reached = { both: 0, mail: 0, phone: 0 };
  /** Pairs of cards of one organisation. */
  colleagues = 0;

  constructor(all: Iterable<DuplicateFacts> = []) {
    for (const one of all) this.put(one);
  }

  /**
   * Counts words of names once for cards that are plainly one person's, by a mail address or a number of their own: a name is
   * as common as people have it, not as cards do.
   */
  countPersons(all: readonly DuplicateFacts[]): void {
    const persons = personsByReach(all, this);
    const known = new Map<number, Set<string>>();
    for (const [at, { name }] of all.entries()) {
      const person = persons[at] ?? at;
      const met = known.get(person) ?? new Set();
      known.set(person, met);
      const beside = pairsBeside(name.words);
      for (const { text } of name.words) if (met.has(text)) this.takeOne('n', text);
      for (const both of beside) if (met.has(both)) this.takeOne('b', both);
      for (const { text } of name.words) met.add(text);
      for (const both of beside) met.add(both);
    }
  }

  /** Learns which words of names come from one culture. */
  learnCultures(all: readonly DuplicateFacts[]): void {
    this.cultures = new Cultures(
      all.flatMap(({ name }) => (name.words.length > 1 ? [name.words.map(({ text }) => text)] : [])),
      (word) => this.leaningOf(word) > 0,
    );
  }

  /** How much oftener words come together on one name than if each could go with any. */
  together(words: readonly string[]): number {
    return this.cultures ? Math.max(1, this.cultures.together(words)) : UNTAUGHT_TOGETHER;
  }

  private takeOne(kind: Counted, value: string): void {
    const count = this.counts[kind].get(value) ?? 1;
    if (count > 1) this.counts[kind].set(value, count - 1);
  }

  /** Cards, of a small book as many as it is taken for. */
  get size(): number {
    return Math.max(SMALLEST_BOOK, this.cards);
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

  /** The share of pairs of cards with any way to reach them that have both ways, one way or none to be compared, 0 to 1. */
  reachShare(level: 'some' | 'missing' | 'bothDiffer' | 'oneDiffers' | 'apart'): number {
    if (level === 'some' || level === 'missing') return 1;
    // A few cards of each kind, so that no share is nothing.
    const all = this.reached.both + this.reached.mail + this.reached.phone + 30;
    const [both, mail, phone] = [this.reached.both, this.reached.mail, this.reached.phone].map(
      (count) => (count + 10) / all,
    ) as [number, number, number];
    const [compareBoth, apart] = [both * both, 2 * mail * phone];
    if (level === 'bothDiffer') return compareBoth;
    return level === 'apart' ? apart : 1 - compareBoth - apart;
  }

  private count(
    { name, mails, phones, employers, house, towns, streets, hosts }: DuplicateFacts,
    by: 1 | -1,
  ): void {
    const { words } = name;
    this.cards += by;
    if (mails.length > 0 || phones.length > 0)
      this.reached[phones.length === 0 ? 'mail' : mails.length === 0 ? 'phone' : 'both'] += by;
    this.add(
      'n',
      words.map(({ text }) => text),
      by,
    );
    for (const { text, role } of words) if (role !== 'open') this.lean(text, role === 'given' ? by : -by);
    this.add('b', pairsBeside(words), by);
    for (const employer of new Set(employers)) {
      const others = (this.counts.o.get(employer) ?? 0) - (by === 1 ? 0 : 1);
      this.colleagues += by * others;
    }
    this.add('m', mails, by);
    this.add(
      'p',
      phones.map(({ counted }) => counted),
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

/** Two words of a name side by side, in either order. */
function pairsBeside(words: readonly NameWord[]): string[] {
  return words.slice(1).map(({ text }, i) => {
    const before = words[i]?.text ?? '';
    return before < text ? `${before} ${text}` : `${text} ${before}`;
  });
}

/** Cards with one address or number up to which these are somebody's own. Ours. */
export const FEW = 4;

/** For each card the first card of those that it shares an own address or mobile with. */
function personsByReach(all: readonly DuplicateFacts[], vocabulary: Vocabulary): Int32Array {
  const first = new Int32Array(all.length).map((_, at) => at);
  const root = (at: number): number => {
    let found = at;
    while (first[found] !== found) found = first[found] = first[first[found] ?? found] ?? found;
    return found;
  };
  const met = new Map<string, number>();
  for (const [at, { mails, phones, isOrg }] of all.entries()) {
    if (isOrg) continue;
    for (const mail of mails) if (vocabulary.countOf('m', mail) <= FEW) meet(mail, at);
    for (const { counted, extension, isMobile } of phones)
      if ((isMobile || extension !== '') && vocabulary.countOf('p', counted) <= FEW)
        meet(counted + extension, at);
  }
  function meet(value: string, at: number): void {
    const other = met.get(value);
    if (other === undefined) met.set(value, at);
    else first[root(at)] = root(other);
  }
  return first.map((_, at) => root(at));
}
