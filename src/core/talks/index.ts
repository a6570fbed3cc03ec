/**
 * Talks: what was said when with whom, and what follows from it: closeness, rhythm, due, whom to think of today.
 * Standard: none; dates by ISO 8601 in the Gregorian calendar.
 * Left out: storing talks, which come in shards of a month (book).
 */
export { rankCloseness, rawCloseness } from './closeness';
export {
  afterRhythm,
  type Due,
  dueOf,
  formatRhythm,
  type Rhythm,
  RHYTHM_UNITS,
  rhythmFor,
  withRhythm,
} from './due';
export {
  decay,
  HALF_LIFE_DAYS,
  summarise,
  summarySchema,
  type TalkSummary,
  usualGap,
  withTalk,
} from './summary';
export {
  compareTalks,
  type Direction,
  DIRECTIONS,
  keywordsOf,
  monthOf,
  parseTalk,
  type Talk,
  TALK_KINDS,
  type TalkKind,
  talksWith,
} from './talk';
export { type DueCard, type Occasion, planToday, type Quiet, type TodayCard, type TodayPlan } from './today';
export { agoWords, dueWords, type Standing, standingOf } from './standing';
