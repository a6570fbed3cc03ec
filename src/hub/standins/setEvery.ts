import { type HubDb, inTransaction } from '@/hub/store';
import type { Device } from '@/hub/sync';

import { STAND_INS } from './kinds';
import type { StandInKind } from './standIn';
import { findStandIn, keepStandIn } from './standInStore';

/** Sets how often a server or a simulated device is synced. @throws RangeError for a device that comes when it likes */
export async function setEvery(
  db: HubDb,
  { id, user, name }: Pick<Device, 'id' | 'user' | 'name'>,
  everyMinutes: number,
): Promise<void> {
  const next = new Date(Date.now() + everyMinutes * 60_000).toISOString();
  for (const kind of Object.keys(STAND_INS) as StandInKind[]) {
    const state = await findStandIn(db, kind);
    if (state?.user === user) return keepStandIn(db, kind, { ...state, everyMinutes, next });
  }
  const [done] = await inTransaction(db, (store) =>
    store.updateTable('accounts').set({ everyMinutes, next }).where('device', '=', id).execute(),
  );
  if ((done?.numUpdatedRows ?? 0n) === 0n)
    throw new RangeError(`how often ${name} comes is set on the device itself`);
}
