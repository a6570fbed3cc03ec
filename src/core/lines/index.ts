/**
 * The line syntax that vCard and iCalendar share: lines, folds, parameters, escapes.
 * Standard: RFC 6350 §3, RFC 5545 §3.1, RFC 6868; tolerant beyond them when reading.
 * Left out: what a property means.
 */
export type { ContentLine, Params } from './contentLine';
export { decodeLegacy } from './decodeLegacy';
export { foldLine } from './foldLine';
export { formatContentLine } from './formatContentLine';
export { parseContentLine } from './parseContentLine';
export { type LogicalLine, readLogicalLines } from './readLogicalLines';
export { escapePart, escapeText, readCompound, readTextList, splitValue, unescapeText } from './text';
