/**
 * Writing to people: who gets a message, at which address, and what it says.
 * Standards: RFC 5322, RFC 2047 and RFC 2045 for messages, RFC 6068 (mailto), RFC 5724 (sms), ISO 216 and ISO 269 for letters.
 * Left out: delivering, which a mail program or the hub does; drawing and printing.
 *
 * templates/  texts with what is on each card filled in
 * letters/    labels, envelopes and the list for a word processor
 * sending/    a card handed to somebody else: as text, as a code, on paper
 */
export { findRecipients, type Recipient, type Recipients, type WriteTo } from './findRecipients';
export { formatMailbox } from './formatMailbox';
export { ENVELOPES, envelopesAsPage } from './letters/envelopes';
export { findLetters, type Letter, type Letters } from './letters/findLetters';
export { labelsAsPage, placeLabels } from './letters/labels';
export { LABEL_SHEETS, type LabelSheet, labelSheetSchema, sheetProblem } from './letters/sheets';
export { writeLetterList } from './letters/writeLetterList';
export { cardAsText } from './sending/cardAsText';
export { cardForCode } from './sending/cardForCode';
export { cardsAsPage } from './sending/cardsAsPage';
export { cardToSend, hasPrivate } from './sending/cardToSend';
export { fieldWords, type TemplateContext, type TemplateWords } from './templates/fields';
export { fieldsIn, fillTemplate, labelsOf, missingFields } from './templates/fillTemplate';
export {
  type EditedText,
  editText,
  insertCondition,
  insertField,
  piecesIn,
  type Selection,
  type TextPiece,
  type TextToEdit,
} from './templates/pieces';
export { SHIPPED, type Template } from './templates/shipped';
export { MAX_MAILTO, writeMailto } from './writeMailto';
export { type Attachment, mailDate, type OutMessage, writeMessage } from './writeMessage';
export { smsNumber, writeSms } from './writeSms';
