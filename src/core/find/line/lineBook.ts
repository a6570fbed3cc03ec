import { foldedWords } from '@/core/base';
import { type Card, shownAs, type Uid } from '@/core/card';
import { isList, isRuleList } from '@/core/lists';

import { BookValues, type ValueKind } from './bookValues';

/** Somebody whom some words name. */
export interface Named {
  readonly uid: Uid;
  /** Whether every word is a whole word of the name, not only the beginning of one. */
  readonly isWhole: boolean;
  /** Whether one of them is, at least. */
  readonly hasWhole: boolean;
}

/** A list that some words name. */
export interface NamedList {
  readonly uid: Uid;
  /** Whether people are put on it by hand; else it fills itself. */
  readonly isByHand: boolean;
  /** Whether it is called just so. */
  readonly isWhole: boolean;
}

/** What a line can name, kept up with the book. */
export interface LineBook {
  /** People and organisations of whose names all the words are, or begin, words. */
  named(words: readonly string[]): Named[];
  /** A list by its name or the beginning of it. */
  list(words: readonly string[]): NamedList | undefined;
  hasTag(tag: string): boolean;
  /** Whether somebody's role has this word. */
  hasRole(word: string): boolean;
  /** Whether somebody's address has these words. */
  hasPlace(words: readonly string[]): boolean;
  hasOrganisation(words: readonly string[]): boolean;
  shown(uid: Uid): string;
  /** Whether somebody, or a list, is called by a word, or by one that begins so. */
  isCalled(uid: Uid, word: string): boolean;
  /** People and organisations with a word of the name that begins so, in no order. */
  calledLike(start: string): readonly Uid[];
  /** Lists whose names begin so; all of them for ''. */
  listsLike(start: string): readonly NamedList[];
  /** Whether a list has somebody on it by hand. */
  hasMember(list: Uid, uid: Uid): boolean;
  /** What cards say, whole, that begins so; the most frequent first. */
  valuesLike(start: string, kind: ValueKind): readonly string[];
}

/** Names beyond which it is no longer asked who was meant. */
const MOST_NAMED = 12;

interface Entry {
  readonly names: readonly string[];
  readonly shown: string;
}

/** The names of a book by their words. */
export class NamesOfBook implements LineBook {
  private readonly entries = new Map<Uid, Entry>();
  private readonly byWord = new Map<string, Set<Uid>>();
  private readonly lists = new Map<
    Uid,
    {
      readonly name: string;
      readonly shown: string;
      readonly isByHand: boolean;
      readonly members: Readonly<Record<Uid, unknown>>;
    }
  >();
  private readonly values = new BookValues();
  private sorted: string[] | undefined;

  constructor(cards: Iterable<Card> = []) {
    for (const card of cards) this.put(card);
  }

  put(card: Card): void {
    this.remove(card.uid);
    const shown = shownAs(card);
    if (isList(card)) {
      this.lists.set(card.uid, {
        ...{ name: foldedWords(shown).join(' '), shown, isByHand: !isRuleList(card) },
        members: card.members ?? {},
      });
      return;
    }
    const nicks = Object.values(card.nicknames ?? {}).map(({ name }) => name);
    const names = foldedWords([shown, ...nicks].join(' '));
    this.entries.set(card.uid, { names, shown });
    for (const word of names) {
      const uids = this.byWord.get(word);
      if (uids) uids.add(card.uid);
      else {
        this.byWord.set(word, new Set([card.uid]));
        this.sorted = undefined;
      }
    }
    this.values.put(card, names, shown);
  }

  remove(uid: Uid): void {
    this.lists.delete(uid);
    const entry = this.entries.get(uid);
    if (!entry) return;
    this.entries.delete(uid);
    for (const word of entry.names) {
      const uids = this.byWord.get(word);
      uids?.delete(uid);
      if (uids?.size === 0) {
        this.byWord.delete(word);
        this.sorted = undefined;
      }
    }
    this.values.remove(uid);
  }

  named(words: readonly string[]): Named[] {
    const folded = foldedWords(words.join(' '));
    if (folded.length === 0 || folded.some((word) => word.length < 2)) return [];
    let found: Set<Uid> | undefined;
    for (const word of folded) {
      // Of several words each is needed whole: who has them all may be behind any number of others.
      const uids = this.byBeginning(word, folded.length === 1 ? MOST_NAMED * 4 : Infinity);
      const before: Set<Uid> | undefined = found;
      found = before ? new Set([...before].filter((uid) => uids.has(uid))) : uids;
      if (found.size === 0) return [];
    }
    const named = [...(found ?? [])].map((uid) => {
      const names = this.entries.get(uid)?.names ?? [];
      return {
        uid,
        isWhole: folded.every((word) => names.includes(word)),
        hasWhole: folded.some((word) => names.includes(word)),
      };
    });
    const whole = named.filter(({ isWhole }) => isWhole);
    return (whole.length > 0 ? whole : named).slice(0, MOST_NAMED);
  }

  /** Those with a word that begins so. */
  private byBeginning(word: string, most: number): Set<Uid> {
    const exact = this.byWord.get(word);
    if (exact) return exact;
    this.sorted ??= [...this.byWord.keys()].sort();
    const found = new Set<Uid>();
    let [low, high] = [0, this.sorted.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.sorted[middle] ?? '') < word) low = middle + 1;
      else high = middle;
    }
    for (let i = low; i < this.sorted.length && this.sorted[i]?.startsWith(word) === true; i += 1) {
      for (const uid of this.byWord.get(this.sorted[i] ?? '') ?? []) found.add(uid);
      if (found.size > most) break;
    }
    return found;
  }

  list(words: readonly string[]): NamedList | undefined {
    const typed = foldedWords(words.join(' ')).join(' ');
    if (typed.length < 3) return undefined;
    let begins: NamedList | undefined;
    for (const [uid, { name, isByHand }] of this.lists) {
      if (name === typed) return { uid, isByHand, isWhole: true };
      if (name.startsWith(typed)) begins ??= { uid, isByHand, isWhole: false };
    }
    return begins;
  }

  hasTag(tag: string): boolean {
    return this.values.hasWord('tag', foldedWords(tag).join(' '));
  }

  hasRole(word: string): boolean {
    return word.length > 2 && this.values.hasWord('role', word);
  }

  hasPlace(words: readonly string[]): boolean {
    const folded = foldedWords(words.join(' '));
    return folded.length > 0 && folded.every((word) => this.values.hasWord('place', word));
  }

  hasOrganisation(words: readonly string[]): boolean {
    const folded = foldedWords(words.join(' '));
    return folded.length > 0 && folded.every((word) => this.values.hasWord('organisation', word));
  }

  shown(uid: Uid): string {
    return this.entries.get(uid)?.shown ?? this.lists.get(uid)?.shown ?? uid;
  }

  isCalled(uid: Uid, word: string): boolean {
    const names = this.entries.get(uid)?.names ?? this.lists.get(uid)?.name.split(' ') ?? [];
    const folded = foldedWords(word);
    return folded.length > 0 && folded.every((part) => names.some((name) => name.startsWith(part)));
  }

  calledLike(start: string): readonly Uid[] {
    const [folded = ''] = foldedWords(start);
    return folded.length < 2 ? [] : [...this.byBeginning(folded, MOST_NAMED * 4)];
  }

  hasMember(list: Uid, uid: Uid): boolean {
    return Object.hasOwn(this.lists.get(list)?.members ?? {}, uid);
  }

  listsLike(start: string): readonly NamedList[] {
    const folded = foldedWords(start).join(' ');
    return [...this.lists].flatMap(([uid, { name, isByHand }]) =>
      name.startsWith(folded) ? [{ uid, isByHand, isWhole: name === folded }] : [],
    );
  }

  valuesLike(start: string, kind: ValueKind): readonly string[] {
    return this.values.like(kind, start);
  }
}
