/**
 * Clients of what runs elsewhere: the web workers and the hub.
 */
export { type DuplicatesReport, findDuplicatesInWorker, mergeInWorker } from './duplicatesClient';
export {
  type CardPieces,
  type FileContents,
  findHeadingsInWorker,
  readBackupInWorker,
  readFileInWorker,
  unpackFileInWorker,
  writeBackupInWorker,
  writeFileInWorker,
  writeInvitationInWorker,
} from './filesClient';
export { type HubAccess, type HubClient, hubClient, type StandInKind } from './hubClient';
export { type ExtractResult, type InspectorClient, InspectorWorker } from './inspectorClient';
export { guessOwnAddressesInWorker, readMailInWorker } from './mailClient';
export { readPictureInWorker } from './pictureClient';
export type { Job } from './runJob';
export { type SearchClient, startSearchWorker } from './searchClient';
export { UidMap } from './uidMap';
