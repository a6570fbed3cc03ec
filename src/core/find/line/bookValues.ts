import { foldedWords } from '@/core/base';
import { type Card, tagsOf, type Uid } from '@/core/card';

/** What values of cards stand for. */
export type ValueKind = 'tag' | 'role' | 'place' | 'town' | 'organisation';

interface Said {
  readonly kind: ValueKind;
  /** Folded: what is looked up. */
  readonly words: readonly string[];
  /** As it is written; '' for a code that nobody says. */
  readonly shown: string;
}

/** Tags, roles, places and organisations that the cards of a book name, counted, so that they go with the last card. */
export class BookValues {
  private readonly words = makeCounts(() => new Map<string, number>());
  private readonly wholes = makeCounts(() => new Map<string, { readonly shown: string; count: number }>());
  private readonly said = new Map<Uid, readonly Said[]>();

  put(card: Card, names: readonly string[], shown: string): void {
    const said = saidBy(card, names, shown);
    this.said.set(card.uid, said);
    for (const { kind, words, shown: value } of said) {
      for (const word of words) this.words[kind].set(word, (this.words[kind].get(word) ?? 0) + 1);
      const key = words.join(' ');
      const whole = this.wholes[kind].get(key);
      if (whole) whole.count += 1;
      else this.wholes[kind].set(key, { shown: value, count: 1 });
    }
  }

  remove(uid: Uid): void {
    for (const { kind, words } of this.said.get(uid) ?? []) {
      for (const word of words) {
        const left = (this.words[kind].get(word) ?? 0) - 1;
        if (left > 0) this.words[kind].set(word, left);
        else this.words[kind].delete(word);
      }
      const key = words.join(' ');
      const whole = this.wholes[kind].get(key);
      if (whole) whole.count -= 1;
      if (whole?.count === 0) this.wholes[kind].delete(key);
    }
    this.said.delete(uid);
  }

  /** Whether a word stands in a value of that kind. */
  hasWord(kind: ValueKind, word: string): boolean {
    return this.words[kind].has(word);
  }

  /** Whole values that begin so, as they are written; the most frequent first. */
  like(kind: ValueKind, start: string): string[] {
    const folded = foldedWords(start).join(' ');
    return [...this.wholes[kind]]
      .flatMap(([key, whole]) => (key.startsWith(folded) && whole.shown !== '' ? [whole] : []))
      .sort((a, b) => b.count - a.count || a.shown.localeCompare(b.shown))
      .map(({ shown }) => shown);
  }
}

function makeCounts<T>(make: () => T): Readonly<Record<ValueKind, T>> {
  return { tag: make(), role: make(), place: make(), town: make(), organisation: make() };
}

function saidBy(card: Card, names: readonly string[], shown: string): Said[] {
  const say = (kind: ValueKind, value: string): Said => ({ kind, words: foldedWords(value), shown: value });
  const said = [
    // A tag is looked up whole.
    ...tagsOf(card).map((tag): Said => ({ kind: 'tag', words: [foldedWords(tag).join(' ')], shown: tag })),
    ...Object.values(card.titles ?? {}).map(({ name }) => say('role', name)),
    ...Object.values(card.addresses ?? {}).flatMap(({ components = [], countryCode }) => [
      ...components
        .filter(({ kind }) => kind === 'locality' || kind === 'region' || kind === 'country')
        .flatMap(({ kind, value }) => [
          say('place', value),
          ...(kind === 'locality' ? [say('town', value)] : []),
        ]),
      ...(countryCode === undefined
        ? []
        : [{ kind: 'place' as const, words: [countryCode.toLowerCase()], shown: '' }]),
    ]),
    ...Object.values(card.organizations ?? {}).map(({ name = '' }) => say('organisation', name)),
    ...(card.kind === 'org' ? [{ kind: 'organisation' as const, words: names, shown }] : []),
  ];
  return said.filter(({ words }) => words.length > 0);
}
