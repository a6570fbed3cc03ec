import type { HubDb } from '@/hub/store';

/** One line of the directory's log. */
export interface DirectoryLogLine {
  readonly at: string;
  readonly who: string;
  readonly act: string;
  readonly uid: string | null;
  readonly says: string;
}

interface Noted {
  readonly by: { readonly name: string; readonly now: string };
  readonly act: 'user' | 'put' | 'remove' | 'import';
  readonly says: string;
  readonly uid?: string;
  readonly before?: string | undefined;
  readonly after?: string | undefined;
}

/** Logs an act, in the same transaction. */
export async function noteInLog(store: HubDb, { by, act, says, uid, before, after }: Noted): Promise<void> {
  await store
    .insertInto('directoryLog')
    .values({
      ...{ at: by.now, who: by.name, act, says },
      ...{ uid: uid ?? null, before: before ?? null, after: after ?? null },
    })
    .execute();
}

/** The most log lines per answer. */
const MAX_LINES = 500;

/** The directory's log, the latest first. */
export function readDirectoryLog(db: HubDb): Promise<DirectoryLogLine[]> {
  return db
    .selectFrom('directoryLog')
    .select(['at', 'who', 'act', 'uid', 'says'])
    .orderBy('id', 'desc')
    .limit(MAX_LINES)
    .execute();
}
