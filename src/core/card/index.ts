/**
 * The card: its schema, its name, dates and places, and changes of it as data.
 * Standard: JSContact (RFC 9553) with the additions of RFC 9555.
 * Left out: numbers (core/phone, whose numbering plans are large), formats (core/formats), search (core/search), anything that needs a second card.
 */
export * from './date';
export { dayNumberOf, formatDayNumber, parseDayNumber } from './dayNumber';
export { addressPart, formatAddress, placeOf } from './formatAddress';
export * from './name';
export { formatLanguage, parseLanguage } from './languageName';
export { monthName } from './monthName';
export { newCard } from './newCard';
export { type Collection, ID_PREFIXES, nextId } from './nextId';
export { type LeapDayRule, type NextAnniversary, nextAnniversary, nextRound } from './nextAnniversary';
export * from './patch';
export { portraitOf, portraitsOf } from './portraitOf';
export { type Preferable, preferEntry, preferredEntry } from './preferEntry';
export { type CardRow, compareRows, hasRow, type RowStyle, toRow } from './row';
export { organisationOf, SECOND_PARTS, type SecondPart, secondLine, townOf } from './secondLine';
export * from './schema';
export { parseCard } from './parseCard';
export { isPrivate, withoutPrivate } from './withoutPrivate';
