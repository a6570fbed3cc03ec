/**
 * Finding: search, the rules that limit it, places, and the quick line.
 * Standards: Unicode normalisation for what counts as the same letter; RFC 5870 (geo:) and WGS 84 for places.
 * Left out: doing what the quick line proposes.
 *
 * search/     the index: beginnings of words, parts of numbers, small typos, ranking
 * rules/      what limits a search and fills a rule list
 * line/       what a line means: lexica, names of the book, readings weighed
 * quickline/  what a line asks for beside finding, and what it would do
 * places/     towns by name, where an address is, distances; no streets
 */
export { completeLine } from './line/completeLine';
export { describeReading } from './line/describeReading';
export { examplesFor } from './line/examplesFor';
export { findByReading, saysMore } from './line/findByReading';
export { type LineBook, NamesOfBook } from './line/lineBook';
export { type LinePart, partsOf } from './line/lineParts';
export { type OtherPart, othersOf } from './line/othersOf';
export { LEAST_SCORE, type LineAct, type LineValue, type Need, type Reading } from './line/reading';
export { limitsOf } from './line/sayReading';
export { understandLine } from './line/understandLine';
export { distanceKm, EARTH_KM, type Point } from './places/distance';
export { Gazetteer, type Town } from './places/gazetteer';
export { readGazetteer, writeGazetteer } from './places/gazetteerFile';
export { type Cluster, clusterGroups, groupSpots, type SpotGroup } from './places/groupSpots';
export { type City, townsOf } from './places/townsOf';
export { parseQuick, type Quick } from './quickline/parseQuick';
export { type Offer, planAct, planNew, planQuick, type Whom } from './quickline/planQuick';
export { planReading } from './quickline/planReading';
export type { ReadingContext } from './quickline/readingContext';
export type { QuickVerb, Verb } from './quickline/verbs';
export {
  DAY_KINDS,
  type DayKind,
  type DocKind,
  type Field,
  FIELDS,
  type FindOrder,
  TALK_WAYS,
} from './rules/fields';
export { DAY_WORDS, FIELD_WORDS, formatRule, TALK_WORDS } from './rules/formatRule';
export { MONTH_WORDS } from './rules/furtherTests';
export { NEAR_KM, parseLimits, toRule } from './rules/parseLimits';
export { asksForPlaces, type Group, isGroup, parseRule, type Rule, type Test } from './rules/rule';
export { writeLimit } from './rules/writeLimit';
export { findCards, type FoundCards } from './search/findCards';
export { type Hit, type LocatedCard, SearchIndex } from './search/searchIndex';
export { toSearchDoc } from './search/toSearchDoc';
export type { NamedPoint } from './search/whereabouts';
