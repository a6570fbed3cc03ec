/**
 * The common directory: entries, users, roles, the log.
 */
export { entriesFor, findEntry, putEntries, removeEntry, searchEntries } from './directoryEntries';
export { readDirectoryLog } from './directoryLog';
export {
  addUser,
  changePassphrase,
  changeRole,
  DirectoryError,
  type DirectoryUser,
  endSession,
  findSession,
  listUsers,
  removeUser,
  signInUser,
} from './directoryUsers';
export { readDirectoryCsv } from './readDirectoryCsv';
