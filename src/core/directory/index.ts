/**
 * The common directory: people whom an administrator keeps for all, who may do what with it, and it as LDIF.
 * Standards: entries are cards (RFC 9553); LDIF is RFC 2849 with the attributes of inetOrgPerson (RFC 2798, RFC 4519).
 * Left out: keeping it and signing in, which the hub does.
 */
export {
  type DirectoryEntry,
  directoryEntrySchema,
  isInForce,
  type Role,
  ROLES,
  roleSchema,
} from './directoryEntry';
export { type DirectoryAct, DIRECTORY_ACTS, mayDo, maySee } from './mayDo';
export { writeLdif } from './writeLdif';
