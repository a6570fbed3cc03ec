/**
 * Rules: what decides who is on a list that fills itself, and what limits a search.
 * Standard: none; ours.
 * Left out: finding the cards that a rule is true of, which takes the index (core/search).
 */
export {
  DAY_KINDS,
  type DayKind,
  DOC_KINDS,
  type DocKind,
  type Field,
  FIELDS,
  TALK_WAYS,
  type TalkWay,
} from './fields';
export { DAY_WORDS, FIELD_WORDS, formatRule, TALK_WORDS } from './formatRule';
export { findListByBeginning, type Known } from './findListByBeginning';
export { NEAR_KM, parseLimits, toRule, type Understood } from './parseLimits';
export {
  asksForPlaces,
  type Group,
  isGroup,
  listsOfRule,
  parseRule,
  type Rule,
  ruleSchema,
  type Test,
} from './rule';
export { writeLimit } from './writeLimit';
