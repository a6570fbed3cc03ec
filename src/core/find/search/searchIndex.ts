import { foldText } from '@/core/base';
import type { Uid } from '@/core/card';
import type { TalkSummary } from '@/core/talks';

import { distanceKm, type Point } from '../places/distance';
import type { Gazetteer } from '../places/gazetteer';
import type { Spot } from '../places/locate';
import { type DocKind, type Field } from '../rules/fields';
import { asksForPlaces, isGroup, type Rule } from '../rules/rule';
import { firstBy, firstByScore } from './bestPlaces';
import { CardTable, IS_ARCHIVED, IS_PINNED, wholeNames } from './cardTable';
import { Lately } from './lately';
import { RuleSets } from './ruleSets';
import { addWhereBoth } from './scores';
import { scoresOfTerm } from './scoresOfTerm';
import { searchWords } from './searchWords';
import { beginsIn, isRespelt, type Term, toTerms } from './terms';
import type { SearchDoc } from './toSearchDoc';
import type { NamedPoint } from './whereabouts';

/** A card that was found, and the value that matched. */
export interface Hit {
  readonly uid: Uid;
  readonly kind: DocKind;
  readonly shown: string;
  readonly score: number;
  readonly field: Field;
  /** The value that a word of the query was found in; of several the one that isn't the name. */
  readonly value: string;
  /** A word of the query was found only with a typo. */
  readonly isNear?: true;
  /** Where a search asks for what is near a place: how far it is from there, in kilometres. */
  readonly km?: number;
}

/** Where a card is. */
export interface LocatedCard {
  readonly uid: Uid;
  readonly spot: Spot;
}

/** What limits a search beside its words. */
export interface QueryOptions {
  /** How many hits at most. */
  readonly limit?: number;
  /** Only cards that it is true of. Archived cards are found only where it speaks of them. */
  readonly rule?: Rule;
  /** A day such as 2026-11-24, for rules with days. */
  readonly today?: string;
  /** Whether archived cards are found as well. */
  readonly withArchived?: boolean;
  /** What they are put in order by, the highest first, before how well they were found. */
  readonly order?: (uid: Uid) => number | string;
}

/** A pinned card comes before others that match equally. Our choice. */
const PINNED = 0.25;

/** The closest person comes before others that match equally. Our choice. */
const CLOSE = 0.2;

/** A card whose whole name was typed comes before all that hold it. Our choice. */
const NAMED = 20;

/** Kept between two letters of a line; each takes four bytes a card. */
const MOST_TERMS = 16;
/** About as many as thirty cards have, a few times over. */
const MOST_VALUES = 2000;

/** A name that is only spelt like it, as Goetz for Götz, comes after it. Our choice. */
const RESPELT = 0.5;

/**
 * Finds cards by the beginnings of words, and numbers by any part of them. All words of a query must be found, in
 * any fields and any order; a word that nothing begins with may have a letter wrong.
 *
 * Holds about 1.5 kB a card. Adding, replacing and removing need no rebuilding.
 */
export class SearchIndex {
  private readonly table = new CardTable();
  /** What words were found in lately: of a line that grows all but the last stay as they were. */
  private readonly found = new Lately<Float32Array>(MOST_TERMS);
  /** The words of values that were shown lately: with each letter many of the same are. */
  private readonly words = new Lately<readonly string[]>(MOST_VALUES);
  /** The scores of a query while it is answered; written over by the next. */
  private total = new Float32Array(0);
  /** The day of the question that was asked last. */
  private today = '2000-01-01';

  get size(): number {
    return this.table.size;
  }

  /** Adds a card, in place of what was known of it. */
  add(doc: SearchDoc): void {
    this.table.add(doc);
  }

  /** Removes a card, if it is there. */
  remove(uid: Uid): void {
    this.table.remove(uid);
  }

  /** @returns best first, then by name; nothing for a query that asks for nothing */
  query(text: string, options: QueryOptions = {}): Hit[] {
    const { limit = 50, rule, today = this.today, order } = options;
    this.today = today;
    const terms = toTerms(text);
    if (terms.length === 0 && !rule) return [];
    const total = this.scoresOf(terms);
    this.strike(total, options);
    this.raiseNamed(total, text);
    const centre = this.centreOf(rule);
    if (centre && terms.length === 0) this.nearestFirst(total, centre);
    const best = order
      ? firstBy(this.table, total, { limit, order })
      : firstByScore(this.table, total, limit);
    const hits = best.flatMap((place): Hit[] => {
      const doc = this.table.slots[place]?.doc;
      if (!doc) return [];
      const hit = this.toHit(doc, total[place] ?? 0, terms);
      return [centre ? { ...hit, km: this.kmFrom(centre, doc) } : hit];
    });
    // As they were but for those that are spelt in another way.
    return order ? hits : hits.sort((a, b) => b.score - a.score);
  }

  /** Whoever is called exactly what was typed comes first, with or without the spaces of a name of East Asia. */
  private raiseNamed(total: Float32Array, text: string): void {
    const places = wholeNames(foldText(text)).flatMap((name) => this.table.named.get(name) ?? []);
    for (const place of new Set(places)) if (total[place] !== 0) total[place] = (total[place] ?? 0) + NAMED;
  }

  /** What is known of talks, by uid; it changes with what is taken on. */
  get talks(): ReadonlyMap<Uid, TalkSummary> {
    return this.table.talks;
  }

  /** Closeness of everybody there were talks with, 0 to 100. */
  closeness(today: string): ReadonlyMap<Uid, number> {
    return this.table.closeness(today);
  }

  /** Takes on what is known of talks with some cards. */
  putTalks(summaries: Parameters<CardTable['putTalks']>[0]): void {
    this.table.putTalks(summaries);
  }

  /** Gives the index a gazetteer, for what asks where cards are. */
  useGazetteer(gazetteer: Gazetteer): void {
    this.table.useGazetteer(gazetteer);
  }

  /** Whether a rule asks where cards are, by itself or through some list. */
  asksForPlaces(rule?: Rule): boolean {
    const rules = [...this.table.lists.values()].map((place) => this.table.slots[place]?.doc.rule);
    return [rule, ...rules].some((one) => one !== undefined && asksForPlaces(one));
  }

  /** Where cards are: the first spot of each that is known at all; archived cards and lists are left out. */
  spots(): LocatedCard[] {
    return this.table.slots.flatMap((slot) => {
      if (!slot || slot.doc.kind === 'list' || slot.doc.isArchived === true) return [];
      const [spot] = this.table.whereabouts.spotsOf(slot.doc);
      return spot ? [{ uid: slot.doc.uid, spot }] : [];
    });
  }

  /** Where a card is: the first spot that is known. */
  spotOf(uid: Uid): Spot | undefined {
    const slot = this.table.slots[this.table.placeOf(uid) ?? -1];
    return slot ? this.table.whereabouts.spotsOf(slot.doc)[0] : undefined;
  }

  /** A place by its name. */
  pointOf(name: string): NamedPoint | undefined {
    return this.table.whereabouts.pointOf(name);
  }

  /** The lists there are, with their names. */
  lists(): { uid: Uid; name: string }[] {
    return [...this.table.lists.values()].flatMap((place) => {
      const doc = this.table.slots[place]?.doc;
      return doc ? [{ uid: doc.uid, name: doc.shown }] : [];
    });
  }

  /** The uids of all cards that a rule is true of; archived ones and lists are left out. */
  matching(rule: Rule, today: string): Uid[] {
    return this.uidsIn(new RuleSets(this.table, today).of(rule));
  }

  /** Everybody on a list, by rule, by choice and through lists on it. */
  onList(uid: Uid, today: string): Uid[] {
    return this.uidsIn(new RuleSets(this.table, today).onList(uid));
  }

  /** The lists that a card is on, by rule, by choice or through another list. */
  listsOf(uid: Uid, today: string): Uid[] {
    const place = this.table.placeOf(uid);
    if (place === undefined) return [];
    const sets = new RuleSets(this.table, today);
    return [...this.table.lists.keys()].filter((list) => sets.onList(list)[place] === 1);
  }

  /** The place that all of a search has to be near to. */
  private centreOf(rule: Rule | undefined): Point | undefined {
    const tests = rule && isGroup(rule) && rule.kind === 'all' ? rule.rules : rule ? [rule] : [];
    for (const test of tests)
      if (test.kind === 'near' && test.not !== true) return this.table.whereabouts.pointOf(test.place);
    return undefined;
  }

  private kmFrom(centre: Point, doc: SearchDoc): number {
    const spots = this.table.whereabouts.spotsOf(doc).filter(({ by }) => by !== 'country');
    return Math.min(...spots.map((spot) => distanceKm(spot, centre)));
  }

  /** Scores between 1 and 2 that fall with the distance. */
  private nearestFirst(total: Float32Array, centre: Point): void {
    this.table.slots.forEach((slot, place) => {
      if (slot && total[place] !== 0) total[place] = 1 + 1 / (1 + this.kmFrom(centre, slot.doc));
    });
  }

  private uidsIn(set: Uint8Array): Uid[] {
    const uids: Uid[] = [];
    this.table.slots.forEach((slot, place) => {
      if (slot && set[place] === 1 && slot.doc.kind !== 'list' && slot.doc.isArchived !== true)
        uids.push(slot.doc.uid);
    });
    return uids;
  }

  /** Score by place, 0 where a term isn't found; without terms every card fits alike. */
  private scoresOf(terms: readonly Term[]): Float32Array {
    const count = this.table.slots.length;
    if (this.total.length !== count) this.total = new Float32Array(count);
    if (terms.length === 0) return this.total.fill(1);
    terms.forEach((term, i) => {
      const key = `${this.today} ${JSON.stringify(term)}`;
      const scores = this.found.get(key, this.table.version, (spare) =>
        scoresOfTerm(this.table, term, { today: this.today, spare }),
      );
      if (i === 0) this.total.set(scores);
      else addWhereBoth(this.total, scores);
    });
    return this.total;
  }

  /** Removes what the limits exclude, and raises pinned and close cards a little. */
  private strike(total: Float32Array, { rule, withArchived = false }: QueryOptions): void {
    const allowed = rule && new RuleSets(this.table, this.today).of(rule);
    this.table.rankSlots(this.today);
    const { flags, ranks, empty } = this.table;
    for (const place of empty) total[place] = 0;
    for (let place = 0; place < total.length; place += 1) {
      if (total[place] === 0) continue;
      const marks = flags[place] ?? 0;
      const isOut = (allowed && allowed[place] !== 1) || (!withArchived && (marks & IS_ARCHIVED) !== 0);
      const pinned = (marks & IS_PINNED) === 0 ? 0 : PINNED;
      total[place] = isOut ? 0 : (total[place] ?? 0) + pinned + (CLOSE * (ranks[place] ?? 0)) / 100;
    }
  }

  /** Which value to show beside the name: the first that holds a word the name doesn't begin with. */
  private toHit(doc: SearchDoc, raw: number, terms: readonly Term[]): Hit {
    const nameWords = this.wordsOf(doc.shown);
    const score = raw - (isRespelt(doc.shown, nameWords, terms) ? RESPELT : 0);
    const hit = { uid: doc.uid, kind: doc.kind ?? 'person', shown: doc.shown, score };
    const unnamed = terms.filter((term) => !beginsIn(nameWords, term));
    const found = unnamed.map((term) => {
      const { word, digits, home } = term;
      const isPart = (value: string) =>
        [digits, home].some((one) => one !== undefined && value.replace(/\D/g, '').includes(one));
      const match = doc.values.find(
        ([field, value]) => beginsIn(this.wordsOf(value), term) || (field === 'number' && isPart(value)),
      );
      return match ? { field: match[0], value: match[1] } : this.throughOthers(doc, word);
    });
    const shown = found.find((one) => one !== undefined) ?? { field: 'name' as const, value: doc.shown };
    return { ...hit, ...shown, ...(found.includes(undefined) ? { isNear: true as const } : {}) };
  }

  private wordsOf(text: string): readonly string[] {
    return this.words.get(text, undefined, () => searchWords(text));
  }

  /** The list it is on, or the card it names, that a word was found in. */
  private throughOthers(doc: SearchDoc, word: string): Pick<Hit, 'field' | 'value'> | undefined {
    const isNamed = (shown: string) => this.wordsOf(shown).some((one) => one.startsWith(word));
    for (const place of this.table.lists.values()) {
      const list = this.table.slots[place]?.doc;
      if (list?.members?.includes(doc.uid) === true && isNamed(list.shown))
        return { field: 'list', value: list.shown };
    }
    for (const uid of doc.related ?? []) {
      const place = this.table.placeOf(uid);
      const other = place === undefined ? undefined : this.table.slots[place]?.doc;
      if (other && isNamed(other.shown)) return { field: 'relation', value: other.shown };
    }
    return undefined;
  }
}
