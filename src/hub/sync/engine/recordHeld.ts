import { findMemory, inTransaction, toCard } from '@/hub/store';

import { etagOf, servedCard } from '../passports/letThrough';
import type { SyncContext } from './context';

/** Versions of a card searched, the latest first. */
const VERSIONS = 50;

/**
 * A device that names an outdated entity tag has the version with that tag, whatever it has been served since: an
 * answer may have been lost. What it sends next is compared with that version; otherwise newer values would look as
 * if the device had deleted them.
 *
 * @param named - entity tags, with their quotes
 */
export async function recordHeld(
  { db, device }: Pick<SyncContext, 'db' | 'device'>,
  uid: string,
  named: readonly string[],
): Promise<void> {
  // What was written here since is none of its business.
  if (device.direction === 'in') return;
  const memory = await findMemory(db, device.id, uid);
  if (!memory || named.includes(etagOf(servedCard(toCard(memory.card), device), device))) return;
  const rows = await db
    .selectFrom('changes')
    .select(['seq', 'after'])
    .where('uid', '=', uid)
    .where('after', '<>', '')
    .orderBy('seq', 'desc')
    .limit(VERSIONS)
    .execute();
  const held = rows.find(({ after }) =>
    named.includes(etagOf(servedCard(toCard(after ?? '{}'), device), device)),
  );
  if (!held) return;
  const { seq } = held;
  await inTransaction(db, (store) =>
    store
      .updateTable('memory')
      .set({ card: '', seq })
      .where('device', '=', device.id)
      .where('uid', '=', uid)
      .execute(),
  );
}
