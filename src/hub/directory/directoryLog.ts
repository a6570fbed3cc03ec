import type { HubDb } from '@/hub/store';

/** What the log of the directory says of one act. */
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

/** Notes an act, in the transaction that does it. */
export async function noteInLog(store: HubDb, { by, act, says, uid, before, after }: Noted): Promise<void> {
  await store
    .insertInto('directoryLog')
    .values({
      ...{ at: by.now, who: by.name, act, says },
      ...{ uid: uid ?? null, before: before ?? null, after: after ?? null },
    })
    .execute();
}

/** Acts at most that are given at once. */
const MAX_LINES = 500;

/** What was done with the directory, the latest first. */
export function readDirectoryLog(db: HubDb): Promise<DirectoryLogLine[]> {
  return db
    .selectFrom('directoryLog')
    .select(['at', 'who', 'act', 'uid', 'says'])
    .orderBy('id', 'desc')
    .limit(MAX_LINES)
    .execute();
}
