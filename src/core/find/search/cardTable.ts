import { foldText } from '@/core/base';
import type { Uid } from '@/core/card';
import { rankCloseness, type TalkSummary } from '@/core/talks';

import type { Gazetteer } from '../places/gazetteer';
import { type Field, FIELDS } from '../rules/fields';
import { Lately } from './lately';
import { searchWords } from './searchWords';
import type { SearchDoc } from './toSearchDoc';
import { Whereabouts } from './whereabouts';
import { WordTable } from './wordTable';

/** Kept between two letters of a line; each takes a byte a card. */
const MOST_SETS = 24;

/** Among the flags of a place: its card is archived. */
export const IS_ARCHIVED = 1;
/** Among the flags of a place: its card is pinned. */
export const IS_PINNED = 2;

/** A card in the table. */
export interface Slot {
  readonly doc: SearchDoc;
  readonly sortKey: string;
  /** A bit for each field that says something, in the order of FIELDS. */
  readonly filled: number;
}

/** Closeness of everybody on a day, and whether the slots have it yet. */
interface Ranks {
  readonly today: string;
  readonly byUid: ReadonlyMap<Uid, number>;
  readonly areInSlots: boolean;
}

/**
 * The cards of a search by place, with the words that lead to them. Adding, replacing and removing need no
 * rebuilding; a place is not given twice, so postings to an empty place lead nowhere.
 */
export class CardTable {
  readonly words = new WordTable();
  readonly slots: (Slot | undefined)[] = [];
  /** Closeness of each place, 0 to 100, as of the last time that it was worked out. */
  readonly ranks: number[] = [];
  /** IS_ARCHIVED and IS_PINNED of each place. */
  readonly flags: number[] = [];
  /** Places that have no card any more. */
  readonly empty: number[] = [];
  /** Places by the whole name, folded, and by it without its spaces where it isn't Latin. */
  readonly named = new Map<string, number[]>();
  /** The digits of each place's numbers, a space between: looked through as a whole for any part of a number. */
  readonly digits: string[] = [];
  /** Lists, by uid, with their places. */
  readonly lists = new Map<Uid, number>();
  /** Places of cards that name a card as related, by its uid. */
  readonly relatedTo = new Map<Uid, Set<number>>();
  /** What is known of talks, by uid; of cards that aren't here as well. */
  readonly talks = new Map<Uid, TalkSummary>();
  private closest: Ranks | undefined;
  private changes = 0;
  /** Sets of places that tests were true of lately, for RuleSets. */
  readonly sets = new Lately<Uint8Array>(MOST_SETS);
  private readonly places = new Map<Uid, number>();
  private gazetteer: Gazetteer | undefined;
  private where: Whereabouts | undefined;

  get size(): number {
    return this.places.size;
  }

  /** Goes up with every change: what was worked out at one count holds as long as that stays. */
  get version(): number {
    return this.changes;
  }

  /** Takes on what is known of talks with some cards; undefined where there are none any more. */
  putTalks(summaries: readonly (readonly [Uid, TalkSummary | undefined])[]): void {
    this.closest = undefined;
    this.changes += 1;
    for (const [uid, summary] of summaries) {
      const before = this.talks.get(uid)?.words?.join(' ');
      if (summary) this.talks.set(uid, summary);
      else this.talks.delete(uid);
      const doc = this.slots[this.places.get(uid) ?? -1]?.doc;
      // A word leads to a card only while the card has it.
      if (doc && before !== summary?.words?.join(' ')) this.add(doc);
    }
  }

  /** Gives every slot its closeness on a day; done once a day and after talks, not for every query. */
  rankSlots(today: string): void {
    if (this.closest?.today === today && this.closest.areInSlots) return;
    const byUid = this.closeness(today);
    this.slots.forEach((slot, place) => (this.ranks[place] = slot ? (byUid.get(slot.doc.uid) ?? 0) : 0));
    this.closest = { today, byUid, areInSlots: true };
  }

  /** Closeness of everybody there were talks with on a day, worked out once. */
  closeness(today: string): ReadonlyMap<Uid, number> {
    if (this.closest?.today !== today)
      this.closest = { today, byUid: rankCloseness(this.talks, today), areInSlots: false };
    return this.closest.byUid;
  }

  /** Where the cards are, as far as the gazetteer that was given knows it. */
  get whereabouts(): Whereabouts {
    this.where ??= new Whereabouts(this, this.gazetteer);
    return this.where;
  }

  /** Gives the table a gazetteer to find towns in. */
  useGazetteer(gazetteer: Gazetteer): void {
    this.gazetteer = gazetteer;
    this.where = undefined;
    this.changes += 1;
  }

  placeOf(uid: Uid): number | undefined {
    return this.places.get(uid);
  }

  /** Adds a card, in place of what was known of it. */
  add(bare: SearchDoc): void {
    const doc = withTalkWords(bare, this.talks.get(bare.uid)?.words);
    this.remove(doc.uid);
    this.where = undefined;
    this.changes += 1;
    let filled = 0;
    for (const [field] of doc.values) filled |= 1 << FIELDS.indexOf(field);
    const sortKey = foldText(doc.shown);
    const place = this.slots.push({ doc, sortKey, filled }) - 1;
    this.ranks.push(this.closest?.byUid.get(doc.uid) ?? 0);
    this.flags.push((doc.isArchived === true ? IS_ARCHIVED : 0) | (doc.isPinned === true ? IS_PINNED : 0));
    for (const name of wholeNames(sortKey)) {
      const places = this.named.get(name);
      if (places) places.push(place);
      else this.named.set(name, [place]);
    }
    this.digits.push(doc.digits.join(' '));
    this.places.set(doc.uid, place);
    if (doc.kind === 'list') this.lists.set(doc.uid, place);
    for (const uid of doc.related ?? []) {
      const known = this.relatedTo.get(uid);
      if (known) known.add(place);
      else this.relatedTo.set(uid, new Set([place]));
    }
    for (const [field, value] of doc.values) {
      const posting = toPosting(place, field);
      for (const word of searchWords(value)) this.words.add(word, posting);
    }
  }

  /** Removes a card, if it is there. */
  remove(uid: Uid): void {
    const place = this.places.get(uid);
    if (place === undefined) return;
    this.where = undefined;
    this.changes += 1;
    // Its postings stay and lead nowhere; there are no more of them than edits in one session.
    for (const name of wholeNames(this.slots[place]?.sortKey ?? '')) {
      const left = (this.named.get(name) ?? []).filter((one) => one !== place);
      if (left.length > 0) this.named.set(name, left);
      else this.named.delete(name);
    }
    this.slots[place] = undefined;
    this.empty.push(place);
    this.digits[place] = '';
    this.places.delete(uid);
    this.lists.delete(uid);
  }
}

/** A name as it is typed whole: with its spaces, and without where it isn't in plain Latin letters. */
export function wholeNames(folded: string): readonly string[] {
  const name = folded.replace(/\s+/g, ' ').trim();
  if (name === '') return [];
  if (/^[\x20-\x7e]*$/.test(name) || !name.includes(' ')) return [name];
  return [name, name.replaceAll(' ', '')];
}

/** A card with the words of its talks: #keywords one by one, the others together, as the value of a talk. */
function withTalkWords(doc: SearchDoc, words: readonly string[] = []): SearchDoc {
  const others = doc.values.filter(([field]) => field !== 'talk');
  if (words.length === 0) return others.length === doc.values.length ? doc : { ...doc, values: others };
  const talks = words.map((word) => ['talk', word] as const);
  return { ...doc, values: [...others, ...talks] };
}

/** Place and field in one number, as words lead to it. */
function toPosting(place: number, field: Field): number {
  return place * FIELDS.length + FIELDS.indexOf(field);
}

/** The place of a posting. */
export function placeIn(posting: number): number {
  return Math.floor(posting / FIELDS.length);
}

/** The field of a posting, as its place in FIELDS. */
export function fieldIn(posting: number): number {
  return posting % FIELDS.length;
}
