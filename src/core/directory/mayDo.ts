import { type DirectoryEntry, isInForce, type Role } from './directoryEntry';

/** What can be done with the directory. */
export const DIRECTORY_ACTS = [
  'read',
  'export',
  'edit',
  'import',
  'seeHidden',
  'readLog',
  'manageUsers',
] as const;
/** One of them. */
export type DirectoryAct = (typeof DIRECTORY_ACTS)[number];

/** Permissions by role. Anything not listed is refused. */
const ALLOWED: Readonly<Record<Role, readonly DirectoryAct[]>> = {
  administrator: DIRECTORY_ACTS,
  editor: ['read', 'export', 'edit', 'import', 'seeHidden'],
  reader: ['read', 'export'],
};

/** Whether a role may do something. */
export function mayDo(role: Role, act: DirectoryAct): boolean {
  return ALLOWED[role].includes(act);
}

/** Whether a role finds an entry on a day. */
export function maySee(role: Role, entry: Omit<DirectoryEntry, 'card'>, today: string): boolean {
  return mayDo(role, 'seeHidden') || (!entry.isHidden && isInForce(entry, today));
}
