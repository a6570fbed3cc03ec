import type { Insertable } from 'kysely';

import { inBatches } from '@/core/base';
import { type HubDb, inTransaction, type MemoryTable, toCard } from '@/hub/store';

import type { SeenCard } from '../passports/deviceView';
import type { SyncContext } from './context';

/** Rows per statement: SQLite takes some thousand values in one. */
const AT_ONCE = 100;

/** Records what a device has been served: what it sends later is compared with it. */
export async function rememberServed(
  { db, device }: Pick<SyncContext, 'db' | 'device'>,
  served: readonly SeenCard[],
): Promise<void> {
  // A device that only sends holds what it has sent, which is remembered when it does.
  if (served.length === 0 || device.direction === 'in') return;
  await inTransaction(db, async (store) => {
    for (const some of inBatches(served, AT_ONCE)) {
      const rows: Insertable<MemoryTable>[] = [];
      for (const one of some)
        rows.push({
          ...{ device: device.id, uid: one.uid, href: one.href, deviceUid: null },
          ...(await asServed(store, one)),
        });
      await store
        .insertInto('memory')
        .values(rows)
        .onConflict((conflict) =>
          conflict
            .columns(['device', 'uid'])
            .doUpdateSet(({ ref }) => ({ card: ref('excluded.card'), seq: ref('excluded.seq') })),
        )
        .execute();
    }
  });
}

/** The book's card as the device was shown it, by the change that made it; of a list with the members it was served with. */
async function asServed(store: HubDb, seen: SeenCard): Promise<Pick<MemoryTable, 'card' | 'seq'>> {
  const { seq, shape } = seen;
  // It isn't taken apart for nothing.
  if (shape !== undefined) return { card: '', seq };
  const { card } = seen;
  const then = await store.selectFrom('changes').select('after').where('seq', '=', seq).executeTakeFirst();
  const list = then?.after == null ? card : toCard(then.after);
  return { card: JSON.stringify({ ...list, members: card.members ?? {} }), seq: null };
}

/** Retires a resource's address for a device: what it put there is served under another address. */
export async function noteGone(
  { db, device }: Pick<SyncContext, 'db' | 'device'>,
  href: string,
  seq: number,
  uid: string | null = null,
): Promise<void> {
  await db
    .insertInto('gone')
    .values({ device: device.id, href, seq, uid })
    .onConflict((conflict) => conflict.columns(['device', 'href']).doUpdateSet({ seq, uid }))
    .execute();
}

/** The card that a retired address still answers for; undefined for any other address. */
export async function aliasOf(
  { db, device }: Pick<SyncContext, 'db' | 'device'>,
  href: string,
): Promise<string | undefined> {
  const row = await db
    .selectFrom('gone')
    .select('uid')
    .where('device', '=', device.id)
    .where('href', '=', href)
    .executeTakeFirst();
  return row?.uid ?? undefined;
}

/** A sync tells the device what is gone: retired addresses answer no longer. */
export async function endAliases({ db, device }: Pick<SyncContext, 'db' | 'device'>): Promise<void> {
  await db
    .updateTable('gone')
    .set({ uid: null })
    .where('device', '=', device.id)
    .where('uid', 'is not', null)
    .execute();
}
