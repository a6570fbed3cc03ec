/**
 * Base: what knows nothing of cards. Text, JSON, XML, days, countries, languages.
 * Standards: Unicode normalisation (UAX #15), WHATWG Encoding, RFC 8259, XML 1.0, ISO 8601, ISO 3166-1, CLDR.
 * Left out: ordering, which Intl.Collator does.
 *
 * text/   folding, matching, decoding and escaping of text
 * dates/  calendar days: partial, typed, counted, in words
 */
export { cached } from './cached';
export { countryCodes, findCountryCode } from './countryCodes';
export { addDays, addMonths, DAY_NAMES, daysBetween } from './dates/dayCount';
export { dayNumberOf, formatDayNumber, parseDayNumber, yearOfDay } from './dates/dayNumber';
export { firstWeekday, monthGrid } from './dates/monthGrid';
export { monthName } from './dates/monthName';
export { type FigureOrder, parseTypedDate } from './dates/parseTypedDate';
export { findWhen, parseWhen } from './dates/parseWhen';
export {
  daysInMonth,
  formatPartialDate,
  isRealDate,
  type PartialDate,
  toPartialDate,
} from './dates/partialDate';
export { inBatches } from './inBatches';
export { isObject, isSameJson, type JsonObject, ownProperty } from './json';
export { formatLanguage, parseLanguage } from './languageName';
export { Pipe } from './pipe';
export { childOf, childrenOf, readXml, type XmlElement } from './readXml';
export { errorMessage } from './text/errorMessage';
export { escapeHtml } from './text/escapeHtml';
export { foldStrictly, strictWords } from './text/foldStrictly';
export { foldedWords, foldText } from './text/foldText';
export { hashText } from './text/hashText';
export { highlightMatches } from './text/highlightMatches';
export {
  decodeCharset,
  type DecodedText,
  decodeText,
  decodeUtf8,
  decodeWindows1252,
  encodeUtf8,
  toBase64,
} from './text/textCodec';
