/**
 * The common directory, as far as this browser is signed in to it.
 */
export {
  type DirectorySession,
  directorySessionSchema,
  keepDirectorySession,
  readDirectorySession,
} from './directorySession';
export { lookInDirectory } from './lookInDirectory';
export { type AskDirectory, type DirectoryStanding, useDirectory } from './useDirectory';
export { useDirectoryAnswer } from './useDirectoryAnswer';
export { type FoundInDirectory, useFoundInDirectory } from './useFoundInDirectory';
