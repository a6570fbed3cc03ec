import { type HubDb, inTransaction } from '@/hub/store';

import type { SyncContext } from './context';

/** Changes the book in one transaction, which counts as well what the sync has brought. */
export function inSync<T extends { readonly came: number } | undefined>(
  { db, sync, now }: SyncContext,
  work: (store: HubDb) => Promise<T>,
): Promise<T> {
  return inTransaction(db, async (store) => {
    const done = await work(store);
    const came = done?.came ?? 0;
    if (came > 0 && sync !== undefined)
      await store
        .updateTable('syncs')
        .set(({ eb }) => ({ came: eb('came', '+', came), until: now }))
        .where('id', '=', sync)
        .execute();
    return done;
  });
}
