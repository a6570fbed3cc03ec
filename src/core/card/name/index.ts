/**
 * Names: from one typed line into components and back, how the user wants it shown, what a card is shown and sorted as, initials.
 * Standard: RFC 9553 §2.2.1; the word lists are common practice; order by CLDR through Intl.Collator.
 * Left out: salutations and transliteration.
 */
export { deriveName, formatName } from './formatName';
export { indexLetter } from './indexLetter';
export { initialsOf } from './initialsOf';
export { nameParts, splitParticles } from './nameParts';
export { type NameHints, parseName } from './parseName';
export { shownAs } from './shownAs';
export { type SortOrder, sortText } from './sortText';
export { startsWithTitle } from './startsWithTitle';
export { AS_WRITTEN, type NameStyle, styledName } from './styledName';
