/**
 * Sync: two versions of a card brought together entry by entry, and what the application and the hub say to each other.
 * Standards: cards and the ids of their entries by RFC 9553, paths by RFC 6901; three-way merging is common practice.
 * Left out: fetching and sending (platform, hub); what to do with a card that one side deleted.
 *
 * wire/  the messages between application and hub
 */
export { deviceChange, type Keeps, noteKeeps } from './deviceChange';
export { type Conflict, type Merged, mergeThree } from './mergeThree';
export { cardForHub, fromHub } from './wire/cardForHub';
export {
  type Box,
  BOXES,
  type MailHeadNow,
  mailHeadSchema,
  type MailNow,
  mailSchema,
  mailsToSendSchema,
  type NewMail,
  newMailSchema,
} from './wire/mailbox';
export { joinTalks, talkForHub, talkFromHub } from './wire/talkForHub';
export {
  accountSchema,
  type AccountWish,
  type AheadNow,
  aheadSchema,
  CARDS_AT_ONCE,
  credentialsSchema,
  type DeviceNow,
  type DevicesNow,
  devicesSchema,
  type HeldNow,
  type LogLine,
  logLineSchema,
  type NewPassport,
  pairedSchema,
  passportSchema,
  type PassportWish,
  type Pull,
  pullSchema,
  type Push,
  pushSchema,
  RECORDS_AT_ONCE,
  type RecordsPull,
  recordsPullSchema,
  type RecordsPush,
  recordsPushSchema,
  settleSchema,
  type SharedRecord,
  type StandInNow,
  standInSchema,
  type ToSettle,
  type UndoneSyncNow,
  undoneSyncSchema,
  type VisitNow,
  visitSchema,
} from './wire/wire';
