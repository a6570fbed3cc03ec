/**
 * The hub's store, through Kysely: what is kept of cards, devices and browsers.
 *
 * backups/  copies with the key, and their restoration
 * chores/   what is done when there is time: old versions and pictures without a use go
 * engines/  what differs between SQLite and PostgreSQL
 * moves/    from one database to another
 * schema/   tables, and the steps from one schema to the next
 */
export { backUpStore } from './backups/backUpStore';
export { makeBackup } from './backups/makeBackup';
export { BackupFault, restoreBackup } from './backups/restoreBackup';
export { doDevicesWait, letDevicesIn } from './backups/waiting';
export { dropCalendar, findCalendar, putCalendar, takeCalendars } from './calendars';
export { allCards, changedUids, type ChangeSource, findCard, lastSeq, putCard, toCard } from './cards';
export { clearPictures } from './chores/clearPictures';
export { type Retention, thinChanges, thinnedTo } from './chores/thinChanges';
export { tidyStore } from './chores/tidyStore';
export { holdStore } from './engines/sqlite/holdStore';
export { ifPossible, StoreFault } from './engines/storeFault';
export { epochOf, firstEpoch, headsOf, sharedWith } from './epochs';
export { lastMail } from './lastMail';
export { findMemory, memories } from './memory';
export { MoveFault, moveStore, notMoved } from './moves/moveStore';
export { engineOf, inTransaction, isReady, onChange, openStore, storeAddress, waitingFor } from './openStore';
export { alikeOf, hrefFor, placeOf } from './schema/columnsOf';
export { putPicturesAside, withPictures, withPicturesIn } from './schema/pictures';
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
  ShownTable,
} from './schema/tables';
export { seal, unseal } from './seal';
export { SEED_SAYS, seedDemo } from './seedDemo';
export { noteToSettle } from './settle';
export { type Counted, type Limit, mayTry, wasRight } from './tries';
export { keepApart } from './whoseStore';
export { notifyOfChange } from './Writes';
