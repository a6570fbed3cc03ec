/**
 * Talks: what was said when with whom, and what follows from it: closeness, rhythm, due, whom to think of today.
 * Standard: none; dates by ISO 8601 in the Gregorian calendar.
 * Left out: storing talks, which come in shards of a month (book).
 */
export { balanceOf, type MonthOfTalks, type RhythmBalance, talksByMonth } from './chart';
export { closenessReasons } from './closenessReasons';
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
  talkSchema,
  type Talk,
  type TalkFile,
  TALK_KINDS,
  type TalkKind,
  talksWith,
} from './talk';
export { type DayQuestion, DayBook } from './dayBook';
export { newsWords } from './newsSince';
export {
  type FollowUp,
  type Meeting,
  type PlannedFollowUp,
  type PlannedMeeting,
  withFollowUp,
  withMeeting,
} from './planned';
export { type Quiet } from './quiet';
export { type DueCard, emptyPlan, type Occasion, planToday, type TodayPlan } from './today';
export { type TodayCard } from './todayCard';
export { agoWords, dueWords, type Standing, standingOf } from './standing';
