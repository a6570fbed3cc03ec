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
  mailHeadSchema,
  type MailHeadView,
  mailSchema,
  mailsToSendSchema,
  type MailView,
  type NewMail,
  newMailSchema,
} from './wire/mailbox';
export { joinTalks, talkForHub, talkFromHub } from './wire/talkForHub';
export {
  type AccountRequest,
  accountSchema,
  CARDS_AT_ONCE,
  credentialsSchema,
  devicesSchema,
  type DevicesStatus,
  type DeviceStatus,
  type EpochAnswer,
  epochSchema,
  type Heads,
  headsSchema,
  type HeldCardView,
  type KnownAnswer,
  knownSchema,
  type LogLine,
  logLineSchema,
  type NewPassport,
  pairedSchema,
  type PassportRequest,
  passportSchema,
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
  standInSchema,
  type StandInStatus,
  type SyncPreview,
  syncPreviewSchema,
  type ToSettle,
  type UndoneSyncResult,
  undoneSyncSchema,
  type VisitResult,
  visitSchema,
} from './wire/wire';
