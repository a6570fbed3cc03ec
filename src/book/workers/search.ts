import { expose } from 'comlink';
import lookUpZone from 'tz-lookup';

import type { Card, Uid } from '@/core/card';
import {
  asksForPlaces,
  completeLine,
  examplesFor,
  findByReading,
  findCards,
  type FoundCards,
  Gazetteer,
  LEAST_SCORE,
  type LinePart,
  type LocatedCard,
  type NamedPoint,
  NamesOfBook,
  type OtherPart,
  othersOf,
  parseLimits,
  partsOf,
  readGazetteer,
  type Reading,
  type Rule,
  saysMore,
  SearchIndex,
  toSearchDoc,
  understandLine,
} from '@/core/find';
import { DayBook, type DayQuestion, type TalkSummary, type TodayPlan } from '@/core/talks';
import { fetchGazetteer } from '@/platform/gazetteer';

const index = new SearchIndex();
const names = new NamesOfBook();
/** Cards whose names are taken on when a line is first read, so that the first page waits for nothing. */
let unnamed: Card[] = [];

function namesNow(): NamesOfBook {
  for (const card of unnamed) names.put(card);
  unnamed = [];
  return names;
}

/** What the last line can mean: the page asks what it finds and what it would do. */
let last: { readonly key: string; readonly readings: readonly Reading[] } | undefined;

function readingsOf(text: string, today: string): readonly Reading[] {
  const key = `${today} ${text}`;
  if (last?.key !== key) last = { key, readings: understandLine(text, { book: namesNow(), today }) };
  return last.readings;
}

/** Who is closest, as long as nobody is talked to. */
let closest: { readonly by: ReadonlyMap<Uid, number>; readonly uids: readonly Uid[] } | undefined;
const MOST_CLOSEST = 20;

/** Whom a line is likeliest about: who was used lately, then who is closest. */
function likely(used: readonly Uid[], today: string): readonly Uid[] {
  const by = index.closeness(today);
  if (closest?.by !== by) {
    const ranked = [...by].sort(([, a], [, b]) => b - a).slice(0, MOST_CLOSEST);
    closest = { by, uids: ranked.map(([uid]) => uid) };
  }
  return [...new Set([...used, ...closest.uids])];
}

const days = new DayBook({
  summaries: index.talks,
  closeness: (today) => index.closeness(today),
  membersOf: (list, today) => index.onList(list, today),
});
let gazetteer: Promise<boolean> | undefined;

/** Where all cards are, as far as it is known. */
export interface WhereCards {
  readonly cards: readonly LocatedCard[];
  /** Whether the gazetteer was there; without it only what cards say themselves is known. */
  readonly hasGazetteer: boolean;
}

/** What helps while a line is being typed. */
export interface LineHelp {
  readonly parts: readonly LinePart[];
  /** What is put behind it where it goes on as expected; '' where nobody can tell. */
  readonly rest: string;
}

/** What the page may ask of the search worker. */
export interface SearchApi {
  put(cards: readonly Card[], removed: readonly Uid[], country: string): number;
  /** What is known of talks with some cards. */
  putTalks(summaries: readonly (readonly [Uid, TalkSummary | undefined])[]): void;
  /** @param today - a day such as 2026-11-24 */
  find(text: string, limit: number, today: string): Promise<FoundCards>;
  /** What a line can mean, the likeliest first. */
  understand(text: string, today: string): readonly Reading[];
  /** What the words of a line were understood as, and how it may go on. @param used - people and lists, the latest first */
  help(text: string, today: string, used: readonly Uid[]): LineHelp;
  /** What else some words of a line can be. */
  others(text: string, part: LinePart, today: string): readonly OtherPart[];
  /** Lines that make sense on this book. @param used - people and lists, the latest first */
  examples(today: string, used: readonly Uid[]): readonly string[];
  /** The cards that a rule is true of. */
  matching(rule: Rule, today: string): Promise<Uid[]>;
  /** Everybody on a list, by rule, by choice and through lists on it. */
  onList(uid: Uid, today: string): Promise<Uid[]>;
  /** The lists that a card is on. */
  listsOf(uid: Uid, today: string): Promise<Uid[]>;
  /** What a day asks for. */
  today(question: DayQuestion): Promise<TodayPlan>;
  /** Closeness of a card, 0 to 100; undefined where there was no talk. */
  closenessOf(uid: Uid, today: string): number | undefined;
  /** Where the cards are. */
  locate(): Promise<WhereCards>;
  /** The IANA time zone where somebody is, by their first address; undefined where it says no more than a country. */
  zoneOf(uid: Uid): Promise<string | undefined>;
  /** A place by its name, or that of a card. */
  pointOf(name: string): Promise<NamedPoint | undefined>;
}

/** Loads the gazetteer once it is needed; where that fails it is tried again the next time. */
function needGazetteer(): Promise<boolean> {
  gazetteer ??= fetchGazetteer()
    .then((text) => {
      index.useGazetteer(new Gazetteer(readGazetteer(text)));
      return true;
    })
    .catch(() => {
      gazetteer = undefined;
      return false;
    });
  return gazetteer;
}

/** Most questions have nothing to do with places, and wait for nothing. */
async function readyFor(rule?: Rule): Promise<void> {
  if (index.asksForPlaces(rule)) await needGazetteer();
}

const api: SearchApi = {
  put: (cards, removed, country) => {
    last = undefined;
    for (const uid of removed) {
      index.remove(uid);
      namesNow().remove(uid);
    }
    for (const card of cards) {
      index.add(toSearchDoc(card, country));
      unnamed.push(card);
    }
    days.put(cards, removed);
    return index.size;
  },
  putTalks: (summaries) => index.putTalks(summaries),
  find: async (text, limit, today) => {
    const { tests } = parseLimits(text, { lists: index.lists() });
    const reading = readingsOf(text, today).find(({ need }) => need === 'find');
    const rule = reading?.rule;
    await readyFor(tests.some(asksForPlaces) ? { kind: 'all', rules: tests } : rule);
    const found = findCards(index, text, { limit, today });
    // What the limits of plain words leave unexplained may be said in other words.
    if (!reading || !saysMore(reading, found, text)) return found;
    const hits = findByReading(index, reading, { limit, today });
    return hits.length === 0
      ? found
      : { words: '', tests: [], rule: reading.rule, order: reading.order, hits };
  },
  understand: (text, today) => readingsOf(text, today),
  help: (text, today, used) => {
    const context = { book: namesNow(), today };
    const [best] = readingsOf(text, today);
    const isSure = best !== undefined && best.score >= LEAST_SCORE;
    return {
      parts: isSure ? partsOf(text, best, context) : [],
      rest: completeLine(text, context, likely(used, today))?.rest ?? '',
    };
  },
  others: (text, part, today) => othersOf(text, part, { book: namesNow(), today }),
  examples: (today, used) => examplesFor({ book: namesNow(), today }, likely(used, today)),
  matching: async (rule, today) => {
    await readyFor(rule);
    return index.matching(rule, today);
  },
  onList: async (uid, today) => {
    await readyFor();
    return index.onList(uid, today);
  },
  listsOf: async (uid, today) => {
    await readyFor();
    return index.listsOf(uid, today);
  },
  today: async (question) => {
    await readyFor();
    return days.plan(question);
  },
  closenessOf: (uid, today) => index.closeness(today).get(uid),
  locate: async () => {
    const hasGazetteer = await needGazetteer();
    return { cards: index.spots(), hasGazetteer };
  },
  zoneOf: async (uid) => {
    await needGazetteer();
    const spot = index.spotOf(uid);
    return spot && spot.by !== 'country' ? lookUpZone(spot.lat, spot.lon) : undefined;
  },
  pointOf: async (name) => {
    await needGazetteer();
    return index.pointOf(name);
  },
};
expose(api);
