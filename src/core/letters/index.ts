/**
 * Letters: who gets one at which address, sheets of labels, envelopes, and a list for other programs.
 * Standard: ISO 216 and ISO 269 for sizes of paper and envelopes; CSV by RFC 4180. Sizes of labels are common practice.
 * Left out: printing, which the browser does, and the layout of an address (core/card).
 */
export { ENVELOPES, type EnvelopeSize, envelopesAsPage } from './envelopes';
export { findLetters, type Letter, type Letters } from './findLetters';
export { labelsAsPage, placeLabels } from './labels';
export { LABEL_SHEETS, type LabelSheet, labelSheetSchema, sheetProblem } from './sheets';
export { writeLetterList } from './writeLetterList';
