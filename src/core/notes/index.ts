/**
 * Notes with simple formatting: emphasis, lists, web addresses, links to other cards.
 * Standard: a small part of CommonMark, chosen so that a note reads well as plain text too.
 * Left out: headings, tables, pictures, HTML, which stays text.
 */
export { linkToCard, relinkNote } from './cardLinks';
export { type NoteBlock, noteHasLinks, type NoteSpan, parseNote } from './parseNote';
