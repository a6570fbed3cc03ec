/**
 * Writing: drafts, what was sent, cards handed over.
 */
export {
  cardsTo,
  dropDraft,
  emptyDraft,
  type MailDraft,
  type PlaceOf,
  PLACES_OF,
  readDrafts,
  type SavedDraft,
  saveDraft,
  writeTo,
} from './draft';
export { noteSent, type SentMail } from './noteSent';
export { rememberUsed } from './rememberUsed';
export { sendCards } from './sendCards';
export { type MailDraftNow, useMailDraft } from './useMailDraft';
