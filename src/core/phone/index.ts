/**
 * Phone numbers: read, shown, dialled.
 * Standard: E.164, E.123 and RFC 3966; the numbering plans are libphonenumber's.
 * Left out: whether somebody answers.
 */
export { dialUri, formatPhone } from './formatPhone';
export { type ParsedPhone, parsePhone } from './parsePhone';
