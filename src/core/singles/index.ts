/**
 * Single values: what a card can say once only, so that of two that differ one has to be chosen.
 * Standard: RFC 9553 §2; rhythm, time zone and the like are vendor properties.
 * Left out: names and birthdays, which merging compares part by part (core/merging).
 */
export { type DifferentSingle, findDifferent, formatSingle, type SingleKey, SINGLES } from './singles';
