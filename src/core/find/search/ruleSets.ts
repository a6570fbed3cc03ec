import { addDays, foldedWords } from '@/core/base';
import type { Uid } from '@/core/card';
import { dueOf, rhythmFor, type TalkKind } from '@/core/talks';

import { distanceKm } from '../places/distance';
import { type Field, FIELDS, type TalkWay } from '../rules/fields';
import { isGroup, type Rule, type Test } from '../rules/rule';
import { type CardTable, fieldIn, placeIn, type Slot } from './cardTable';
import type { SearchDoc } from './toSearchDoc';

/** 1 at the place of each card that something is true of. */
export type PlaceSet = Uint8Array;

/** Days of a year in which nothing is missed; 29 February counts as that of a leap year. */
const YEAR_DAYS = 366;

/** What kinds of talks are meant by a way of talking. */
const KINDS_OF: Readonly<Record<Exclude<TalkWay, 'any'>, readonly TalkKind[]>> = {
  met: ['meeting'],
  called: ['call'],
  written: ['letter', 'message', 'mail'],
};

/** Works out which cards of a table a rule is true of. Made for one query: it caches the lists it has gone through. */
export class RuleSets {
  private readonly lists = new Map<Uid, PlaceSet>();

  /** @param today - a day such as 2026-11-24 */
  constructor(
    private readonly table: CardTable,
    private readonly today: string,
  ) {}

  /** The cards that a rule is true of, archived ones included. */
  of(rule: Rule): PlaceSet {
    if (!isGroup(rule)) return this.ofTest(rule);
    const sets = rule.rules.map((one) => this.of(one));
    const start = this.whole(rule.kind !== 'any');
    for (const set of sets) {
      for (let place = 0; place < start.length; place += 1) {
        const isIn = set[place] === 1;
        if (rule.kind === 'any' ? isIn : rule.kind === 'all' ? !isIn : isIn)
          start[place] = rule.kind === 'any' ? 1 : 0;
      }
    }
    return this.onlyCards(start);
  }

  /** Everybody on a list, and on the lists on it; a list that leads back to itself adds nothing. */
  onList(uid: Uid): PlaceSet {
    const known = this.lists.get(uid);
    if (known) return known;
    const set = this.whole(false);
    // Noted before it is filled, so that a circle ends.
    this.lists.set(uid, set);
    const place = this.table.placeOf(uid);
    const doc = place === undefined ? undefined : this.table.slots[place]?.doc;
    if (!doc) return set;
    if (doc.rule) {
      this.of(doc.rule).forEach((isIn, at) => {
        const found = this.table.slots[at]?.doc;
        if (isIn === 1 && found && found.kind !== 'list' && found.isArchived !== true) set[at] = 1;
      });
    }
    for (const member of doc.members ?? []) {
      const at = this.table.placeOf(member);
      if (at === undefined) continue;
      set[at] = 1;
      if (this.table.lists.has(member)) this.onList(member).forEach((isIn, i) => isIn === 1 && (set[i] = 1));
    }
    return set;
  }

  /** Never written to by whoever gets it: it is kept for the next letter of a line. */
  private ofTest(test: Test): PlaceSet {
    // A list is gone through by this one, which knows where it has been.
    if (test.kind === 'list') return this.turned(test, this.onList(test.list));
    const key = `${this.today} ${JSON.stringify(test)}`;
    return this.table.sets.get(key, this.table.version, () => this.turned(test, this.plain(test)));
  }

  private turned(test: Test, set: PlaceSet): PlaceSet {
    return test.not === true ? this.onlyCards(set.map((isIn) => 1 - isIn)) : set;
  }

  private plain(test: Exclude<Test, { kind: 'list' }>): PlaceSet {
    switch (test.kind) {
      case 'words':
        return this.withWords(test.field, test.value);
      case 'filled': {
        const at = FIELDS.indexOf(test.field as Field);
        return this.where(({ doc, filled }) =>
          at === -1 ? doc.days?.some(([kind]) => kind === test.field) === true : (filled & (1 << at)) !== 0,
        );
      }
      case 'card':
        return this.where(({ doc }) => doc.kind === test.card);
      case 'flag':
        return this.where(({ doc }) => hasFlag(doc, test.flag));
      case 'near':
        return this.near(test.place, test.km);
      case 'talk': {
        const hasTalked = this.talkedAs(test);
        return this.where(({ doc }) => hasTalked(doc));
      }
      case 'close': {
        this.table.rankSlots(this.today);
        return this.where((_, place) => (this.table.ranks[place] ?? 0) >= test.from);
      }
      case 'since': {
        const [since, until] = [addDays(this.today, -test.days), addDays(this.today, -(test.until ?? 0))];
        const isIn = (day: string) => day >= since && (test.until === undefined || day <= until);
        return this.where(({ doc }) => isIn(doc[test.what] ?? ''));
      }
      case 'coming':
        return this.where(
          ({ doc }) =>
            doc.days?.some(
              ([kind, day]) =>
                kind === test.day &&
                day !== '' &&
                isWithin(daysUntil(day, this.today), test.from ?? 0, test.days),
            ) === true,
        );
      case 'month':
        return this.where(
          ({ doc }) =>
            doc.days?.some(([kind, day]) => kind === test.day && Number(day.slice(0, 2)) === test.month) ===
            true,
        );
      case 'born':
        return this.where(({ doc }) => doc.born !== undefined && isWithin(doc.born[0], test.from, test.to));
      case 'age':
        return this.where(({ doc }) => {
          const age = ageOf(doc, this.today);
          return age !== undefined && isWithin(age, test.from, test.to);
        });
      case 'turning':
        return this.where(({ doc }) => doc.born?.[0] === Number(this.today.slice(0, 4)) - test.age);
      case 'due':
        return this.due(test.days);
    }
  }

  private talkedAs({ how, days, until }: Extract<Test, { kind: 'talk' }>): (doc: SearchDoc) => boolean {
    const since =
      days === 'ever' ? '' : days === 'year' ? `${this.today.slice(0, 4)}-01-01` : addDays(this.today, -days);
    const last = until === undefined ? '9999' : addDays(this.today, -until);
    const isIn = (day: string | undefined) => day !== undefined && day >= since && day <= last;
    return ({ uid }) => {
      const summary = this.table.talks.get(uid);
      if (!summary) return false;
      return how === 'any' ? isIn(summary.last) : KINDS_OF[how].some((kind) => isIn(summary.lastOf[kind]));
    };
  }

  /** Cards whose next talk falls by a day: set by hand, or by their own rhythm or the shortest of their lists'. */
  private due(days: number): PlaceSet {
    const by = addDays(this.today, days);
    const rhythms = [...this.table.lists.keys()].flatMap((uid) => {
      const place = this.table.placeOf(uid);
      const rhythm = place === undefined ? undefined : this.table.slots[place]?.doc.rhythm;
      return rhythm ? [{ rhythm, members: this.onList(uid) }] : [];
    });
    const set = this.whole(false);
    this.table.slots.forEach((slot, at) => {
      if (!slot || slot.doc.kind === 'list') return;
      const { uid, due, rhythm, added } = slot.doc;
      const ofLists = rhythms.filter(({ members }) => members[at] === 1).map((one) => one.rhythm);
      const next = dueOf(
        {
          ...(due === undefined ? {} : { 'cordialis.example:due': due }),
          ...(added === undefined ? {} : { created: added }),
        },
        rhythmFor(rhythm, ofLists),
        this.table.talks.get(uid),
      );
      if (next && next.day <= by) set[at] = 1;
    });
    return set;
  }

  /** Cards whose town or own coordinates are known to lie there; where only the country is known nothing is. */
  private near(place: string, km: number): PlaceSet {
    const { whereabouts } = this.table;
    const centre = whereabouts.pointOf(place);
    if (!centre) return this.whole(false);
    return this.where(({ doc }) =>
      whereabouts.spotsOf(doc).some((spot) => spot.by !== 'country' && distanceKm(spot, centre) <= km),
    );
  }

  /** Cards with all the words among the words of one field, or of any. */
  private withWords(field: Field | 'any', value: string): PlaceSet {
    const wished = field === 'any' ? -1 : FIELDS.indexOf(field);
    const words = foldedWords(value);
    let all: PlaceSet | undefined;
    for (const word of words) {
      const set = this.whole(false);
      this.table.words.forEachPrefix(word, (posting) => {
        if (wished === -1 || fieldIn(posting) === wished) set[placeIn(posting)] = 1;
      });
      const before: PlaceSet | undefined = all;
      all = before ? before.map((isIn, place) => isIn & (set[place] ?? 0)) : set;
    }
    return this.onlyCards(all ?? this.whole(false));
  }

  private where(isTrue: (slot: Slot, place: number) => boolean): PlaceSet {
    const set = this.whole(false);
    this.table.slots.forEach((slot, place) => {
      if (slot && isTrue(slot, place)) set[place] = 1;
    });
    return set;
  }

  private whole(isIn: boolean): PlaceSet {
    return new Uint8Array(this.table.slots.length).fill(isIn ? 1 : 0);
  }

  /** Places that are empty are in no set. */
  private onlyCards(set: PlaceSet): PlaceSet {
    for (const place of this.table.empty) set[place] = 0;
    return set;
  }
}

function hasFlag(doc: SearchDoc, flag: 'archived' | 'pinned' | 'private'): boolean {
  if (flag === 'archived') return doc.isArchived === true;
  return (flag === 'pinned' ? doc.isPinned : doc.isPrivate) === true;
}

/** Days from today until MM-DD comes round, 0 to 365, in a year that has all days. */
function daysUntil(monthDay: string, today: string): number {
  return (ordinal(monthDay) - ordinal(today.slice(5)) + YEAR_DAYS) % YEAR_DAYS;
}

/** Days before each month of a leap year. */
const BEFORE_MONTH = [0, 31, 60, 91, 121, 152, 182, 213, 244, 274, 305, 335];

/** Days of a leap year before MM-DD. */
function ordinal(monthDay: string): number {
  return (BEFORE_MONTH[Number(monthDay.slice(0, 2)) - 1] ?? 0) + Number(monthDay.slice(3, 5)) - 1;
}

function isWithin(figure: number, from = -Infinity, to = Infinity): boolean {
  return figure >= from && figure <= to;
}

/** Full years; where the day of birth isn't known, those of the end of this year. */
function ageOf({ born }: SearchDoc, today: string): number | undefined {
  if (!born) return undefined;
  const [year, monthDay] = born;
  return Number(today.slice(0, 4)) - year - (monthDay > today.slice(5) ? 1 : 0);
}
