/**
 * Clients of what runs elsewhere: the web workers and the hub.
 */
export { type BookLook, lookThroughInWorker, mergeInWorker } from './duplicatesClient';
export {
  type FileContents,
  findHeadingsInWorker,
  readBackupInWorker,
  readFileInWorker,
  unpackFileInWorker,
  writeBackupInWorker,
  writeFileInWorker,
  writeInvitationInWorker,
} from './filesClient';
export { type HubClient, hubClient, type StandInKind } from './hubClient';
export { guessOwnInWorker, readMailInWorker } from './mailClient';
export type { Job } from './runJob';
export { type SearchClient, startSearchWorker } from './searchClient';
export { type LiftedNow, type TwinsClient, TwinsWorker } from './twinsClient';
export { UidMap } from './uidMap';
