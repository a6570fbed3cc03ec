/**
 * The demo: an invented book, the same every time it is made on the same day.
 * Standard: cards are JSContact (RFC 9553).
 * Left out for now: devices.
 */
export { DIRECTORY_TABLE } from './directory.data';
export { duplicateOf } from './duplicateOf';
export { generateBook } from './generateBook';
export { generateFeed } from './generateFeed';
export { generateLargeBook } from './generateLargeBook';
export { generateCalendar, generateMail, generateStrangersMail } from './generateMail';
export { generateTalks } from './generateTalks';
export { OWN_ADDRESS } from './mail.data';
export { Dice } from './random';
