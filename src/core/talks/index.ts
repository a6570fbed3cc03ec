/**
 * Talks: what was said when and with whom, and what follows from it: closeness, rhythm, due dates, Today.
 * Standards: dates by ISO 8601; RFC 4155, RFC 5322 and RFC 2047 for mail; RFC 5545 for calendars; RFC 4287, JSON Feed 1.1 and
 * RSS 2.0 for feeds.
 * Left out: storing talks (book), sending (core/write).
 *
 * today/  whom to greet, whom to talk to, who has gone quiet
 * mail/   mailboxes and calendars read as talks
 * feeds/  what somebody publishes, shown among the talks
 * news/   what a signature or the directory says of somebody that their card doesn't say yet
 */
export { balanceOf, type RhythmBalance, talksByMonth, talksByYear, type YearOfTalks } from './chart';
export { rankCloseness } from './closeness';
export { closenessReasons } from './closenessReasons';
export { describeChanges } from './describeChanges';
export { type Due, dueOf, formatRhythm, type Rhythm, RHYTHM_UNITS, rhythmFor, withRhythm } from './due';
export { amongTalks } from './feeds/amongTalks';
export { type Feed, feedLinks, feedSchema, type Post } from './feeds/post';
export { readFeed } from './feeds/readFeed';
export { type AppointmentTalks, appointmentTalks } from './mail/appointmentTalks';
export { guessOwnAddresses } from './mail/guessOwnAddresses';
export { type MailPart, MailSplitter } from './mail/mailSplitter';
export { MonthBuffers } from './mail/monthBuffers';
export { readAppointments } from './mail/readAppointments';
export { type MailHead, readMailHead } from './mail/readMailHead';
export { type TalkMatcher, toCorrespondence } from './mail/toCorrespondence';
export { acceptNews, isStillNews, type News, NEWS_WORDS, newsSchema, type Signature } from './news/news';
export { newsBetween } from './news/newsBetween';
export { formatAgo, type Standing, standingOf } from './standing';
export { isSameSummary, summarise, summarySchema, type TalkSummary, usualGap, withTalk } from './summary';
export {
  type Direction,
  DIRECTIONS,
  monthOf,
  parseTalk,
  type Talk,
  TALK_KINDS,
  talkFault,
  type TalkFile,
  type TalkKind,
  talkSchema,
  talksWith,
} from './talk';
export { DayBook, type DayQuestion } from './today/dayBook';
export {
  type FollowUp,
  type Meeting,
  type PlannedFollowUp,
  type PlannedMeeting,
  withFollowUp,
  withMeeting,
} from './today/planned';
export { type DueCard, emptyPlan, greetingKey, type Occasion, type TodayPlan } from './today/today';
export { mergeUnfiled, type Unfiled, unfiledSchema } from './unfiled';
