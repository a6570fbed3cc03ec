import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';
import { type HubDb, inTransaction, toCard } from '@/hub/store';

import type { SeenCard } from '../passports/keptView';
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
      const whole = await cardsThen(store, some);
      await store
        .insertInto('memory')
        .values(
          some.map(({ uid, href, card }) => ({
            device: device.id,
            uid,
            href,
            card: asServed(whole.get(uid) ?? JSON.stringify(card), card),
            deviceUid: null,
          })),
        )
        .onConflict((conflict) =>
          conflict.columns(['device', 'uid']).doUpdateSet(({ ref }) => ({ card: ref('excluded.card') })),
        )
        .execute();
    }
  });
}

/** The hub's cards as they were when the device was shown them: another change may have come since. */
async function cardsThen(store: HubDb, served: readonly SeenCard[]): Promise<ReadonlyMap<string, string>> {
  const seqs = served.map(({ seq }) => seq);
  const rows = await store.selectFrom('changes').select(['uid', 'after']).where('seq', 'in', seqs).execute();
  return new Map(rows.flatMap(({ uid, after }) => (after === null ? [] : [[uid, after] as const])));
}

/** The hub's card; of a list with the members it was served with. */
function asServed(text: string, served: Card): string {
  const card = toCard(text);
  return card.kind === 'group' ? JSON.stringify({ ...card, members: served.members ?? {} }) : text;
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
