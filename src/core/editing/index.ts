/**
 * Editing a card as a form: what it shows, what it accepts, the card that comes of it.
 * Standard: labels by RFC 9553 §1.5 and §2.3.3.1, country names by CLDR.
 * Left out: properties the form doesn't show; they stay on the card.
 */
export { type CardForm, cardFormSchema } from './cardForm';
export { FILL_FIELDS, type FillField, fillIn, type Filling } from './fillIn';
export { BLANK_ROWS, filledParts } from './formParts';
export { type FormContext, fromForm } from './fromForm';
export { formatLabel, type Labelled, type LabelKind, parseLabel } from './label';
export { type FigureOrder, parseTypedDate } from './parseTypedDate';
export { relateBack } from './relateBack';
export { parseRelation, RELATION_WORDS, relationLabel, reverseRelation } from './relations';
export { type CellResult, writeCell } from './writeCell';
export { BLANK_WORK, DATE_LABELS, filesOf, toForm, type ToFormOptions } from './toForm';
