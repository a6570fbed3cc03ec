/**
 * The common directory: people whom an administrator keeps for everybody, who may do what with it, and LDIF.
 * Standards: entries are cards (RFC 9553); LDIF is RFC 2849 with the attributes of inetOrgPerson (RFC 2798, RFC 4519).
 * Left out: storing it and signing in, which the hub does.
 */
export {
  type DirectoryEntry,
  directoryEntrySchema,
  isInForce,
  type Role,
  roleSchema,
} from './directoryEntry';
export { DIRECTORY_ACTS, type DirectoryAct, mayDo, maySee } from './mayDo';
export { writeLdif } from './writeLdif';
