import type { MailLevel, PhoneLevel } from '../compare/compareReach';
import type { BirthLevel, GenerationLevel, PlaceLevel, WorkLevel } from '../compare/compareRest';
import type { WordLevel } from '../compare/compareWords';
import type { Conflict } from '../compare/nameComparison';
import type { ReachLevel } from './comparePair';

/**
 * The chance of a level between two cards that have the field, by what the two are to each other: strangers, of one household,
 * of one organisation. Fields that agree because people live or work together are weighed by the last two, and not as if
 * they agreed by accident.
 */
export type Chances = readonly [stranger: number, household: number, firm: number];

/** Fields whose levels have one chance for every book. The chances are estimates: common practice and census-like reasoning, ours. */
export interface Columns {
  readonly mail: Readonly<Record<Exclude<MailLevel, 'missing'>, Chances>>;
  readonly phone: Readonly<Record<Exclude<PhoneLevel, 'missing'>, Chances>>;
  readonly birth: Readonly<Record<Exclude<BirthLevel, 'missing'>, Chances>>;
  readonly place: Readonly<Record<Exclude<PlaceLevel, 'missing'>, Chances>>;
  readonly work: Readonly<Record<Exclude<WorkLevel, 'missing'>, Chances>>;
  readonly title: Readonly<Record<Exclude<WorkLevel, 'missing'>, Chances>>;
  readonly reach: Readonly<Record<Exclude<ReachLevel, 'missing'>, Chances>>;
  readonly generation: Readonly<Record<Exclude<GenerationLevel, 'missing'>, Chances>>;
}

/** Stands for the chance of the value itself, which the book tells. */
export const OF_VALUE = -1;
/** A chance of one in so many cards; the book's size makes it one between pairs. */
const inCards = (share: number) => -2 - share;
/** A chance that is so much of the one between two cards of one person: what a household shares. */
const ofMatch = (share: number) => 10 + share;
/** A chance as a number. @param match - that between two cards of one person, 0 to 1 @param size - cards of the book */
export function resolve(chance: number, match: number, size: number): number {
  if (chance === OF_VALUE) return 1;
  if (chance >= 10) return (chance - 10) * match;
  return chance <= -2 ? (2 * (-2 - chance)) / size : chance;
}

/** The chances, for every book. */
export const COLUMNS: Columns = {
  mail: {
    same: [inCards(0.004), 0.12, 0.002],
    many: [inCards(0.02), 0.03, 0.02],
    desk: [inCards(0.02), 0.01, 0.1],
    alike: [0.0002, 0.01, 0.001],
    differ: [0.99, 0.84, 0.88],
  },
  phone: {
    mobile: [inCards(0.02), 0.006, 0.001],
    extension: [inCards(0.01), 0.001, 0.004],
    same: [inCards(0.02), ofMatch(0.7), 0.01],
    many: [inCards(0.05), 0.05, 0.5],
    slip: [0.00001, 0.002, 0.01],
    differ: [0.99, 0.5, 0.48],
  },
  birth: {
    same: [1 / 22_000, 0.03, 1 / 22_000],
    day: [1 / 365, 0.03, 1 / 365],
    slip: [0.006, 0.006, 0.006],
    near: [0.11, 0.11, 0.11],
    otherYear: [1 / 370, 0.004, 1 / 370],
    differ: [0.99, 0.96, 0.99],
    year: [1 / 60, 0.05, 1 / 40],
    years: [0.98, 0.95, 0.97],
  },
  place: { street: [OF_VALUE, ofMatch(0.9), 0.3], town: [OF_VALUE, 0.15, 0.3], differ: [0.92, 0.1, 0.4] },
  work: { same: [OF_VALUE, 0.03, 0.995], differ: [0.99, 0.97, 0.005] },
  title: { same: [0.05, 0.05, 0.1], differ: [0.95, 0.95, 0.9] },
  // What they share is weighed by itself. That they share nothing is for strangers what the book's cards have.
  reach: {
    some: [1, 1, 1],
    bothDiffer: [OF_VALUE, 0.5, 0.6],
    oneDiffers: [OF_VALUE, 0.5, 0.6],
    apart: [OF_VALUE, 0.5, 0.6],
  },
  generation: { same: [0.4, 0.2, 0.4], oneSaid: [1, 0.9, 1], differ: [1, 1, 1] },
};

/** How often each level holds between two cards of one person that have the field: what EM starts from. Ours, of generated books. */
export interface MatchShares {
  readonly words: Readonly<Record<WordLevel, number>>;
  readonly name: Readonly<Record<Exclude<Conflict, 'missing' | 'scripts'>, number>>;
  readonly mail: Readonly<Record<keyof Columns['mail'], number>>;
  readonly phone: Readonly<Record<keyof Columns['phone'], number>>;
  readonly birth: Readonly<Record<keyof Columns['birth'], number>>;
  readonly place: Readonly<Record<keyof Columns['place'], number>>;
  readonly work: Readonly<Record<keyof Columns['work'], number>>;
  readonly title: Readonly<Record<keyof Columns['title'], number>>;
  readonly reach: Readonly<Record<keyof Columns['reach'], number>>;
  readonly generation: Readonly<Record<keyof Columns['generation'], number>>;
}

/** What a book that teaches nothing goes by. */
export const SHIPPED: MatchShares = {
  words: { same: 0.86, short: 0.04, initial: 0.05, close: 0.05 },
  name: {
    none: 0.62,
    extra: 0.3,
    otherSurname: 0.04,
    otherSecondSurname: 0.005,
    otherSecondGiven: 0.006,
    likeGiven: 0.02,
    otherGiven: 0.004,
    other: 0.003,
  },
  mail: { same: 0.55, many: 0.01, desk: 0.02, alike: 0.04, differ: 0.38 },
  phone: { mobile: 0.28, extension: 0.05, same: 0.27, many: 0.04, slip: 0.03, differ: 0.33 },
  birth: {
    same: 0.5,
    day: 0.4,
    slip: 0.04,
    near: 0.02,
    otherYear: 0.006,
    differ: 0.004,
    year: 0.96,
    years: 0.02,
  },
  place: { street: 0.5, town: 0.2, differ: 0.3 },
  work: { same: 0.6, differ: 0.4 },
  title: { same: 0.7, differ: 0.3 },
  reach: { some: 0.88, bothDiffer: 0.03, oneDiffers: 0.05, apart: 0.04 },
  generation: { same: 0.75, oneSaid: 0.24, differ: 0.01 },
};
