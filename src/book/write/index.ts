/**
 * Writing: drafts, what was sent, cards handed over.
 */
export {
  cardsTo,
  dropDraft,
  emptyDraft,
  type LaidDraft,
  layAside,
  type MailDraft,
  type PlaceOf,
  PLACES_OF,
  readDrafts,
  writeTo,
} from './draft';
export { noteSent, type SentMail } from './noteSent';
export { noteUsed } from './noteUsed';
export { sendCards } from './sendCards';
export { type MailDraftNow, useMailDraft } from './useMailDraft';
