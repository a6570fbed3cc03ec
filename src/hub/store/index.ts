/**
 * The hub's store: SQLite through Kysely, migrations.
 *
 * backups/  copies with the key, and their restoration
 */
export { makeBackup } from './backups/makeBackup';
export { BackupFault, restoreBackup } from './backups/restoreBackup';
export { doDevicesWait, letDevicesIn } from './backups/waiting';
export { type Book, bookOf, changedUids } from './bookOf';
export { allCards, type ChangeSource, findCard, lastSeq, putCard, toCard } from './cards';
export { notifyOfChange, onChange } from './changeEvents';
export { epochOf, firstEpoch, headsOf, sharedWith } from './epochs';
export { holdStore } from './holdStore';
export { lastMail } from './lastMail';
export { findMemory } from './memory';
export { backUpStore, inTransaction, isReady, openStore } from './openStore';
export type {
  AccountsTable,
  BrowsersTable,
  DevicesTable,
  DirectoryEntriesTable,
  DirectoryUsersTable,
  HubDb,
  MailsTable,
  MemoryTable,
  RecordsTable,
} from './schema';
export { seal, unseal } from './seal';
export { SEED_SAYS, seedDemo } from './seedDemo';
export { noteToSettle } from './settle';
export { ifPossible, StoreFault } from './storeFault';
export { keepApart } from './whoseStore';
