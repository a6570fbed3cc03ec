import { utcNow } from '@/hub/base';
import { type HubDb, inTransaction } from '@/hub/store';
import { addDevice, listDevices } from '@/hub/sync';

import { STAND_INS } from './kinds';
import type { StandInHead, StandInKind, StandInState } from './standIn';

/** The state of a simulated device; undefined where it isn't set up. */
export async function findStandIn(db: HubDb, kind: StandInKind): Promise<StandInState | undefined> {
  const row = await db.selectFrom('standIns').select('state').where('kind', '=', kind).executeTakeFirst();
  // Written by keepStandIn only.
  return row && (JSON.parse(row.state) as StandInState);
}

/** What is known of a simulated device without reading its cards, which are large; undefined where it isn't set up. */
export async function findStandInHead(db: HubDb, kind: StandInKind): Promise<StandInHead | undefined> {
  const row = await db.selectFrom('standIns').select('head').where('kind', '=', kind).executeTakeFirst();
  return row?.head == null ? findStandIn(db, kind) : (JSON.parse(row.head) as StandInHead);
}

/** Stores the state of a device. */
export async function keepStandIn(db: HubDb, kind: StandInKind, state: StandInState): Promise<void> {
  const { cards: _, ...some } = state;
  const [text, head] = [JSON.stringify(state), JSON.stringify(some)];
  await inTransaction(db, (store) =>
    store
      .insertInto('standIns')
      .values({ kind, state: text, head })
      .onConflict((conflict) => conflict.column('kind').doUpdateSet({ state: text, head }))
      .execute(),
  );
}

/** Sets up a device with a passport for all cards, unless it is set up already. */
export async function addStandIn(db: HubDb, kind: StandInKind): Promise<void> {
  if (await findStandInHead(db, kind)) return;
  const { name, groups } = STAND_INS[kind];
  const known = new Set((await listDevices(db)).map((device) => device.name));
  const free = known.has(name) ? `${name} to try` : name;
  const { user, password } = await addDevice(db, { name: free, direction: 'both', groups }, utcNow());
  await keepStandIn(db, kind, { user, password, syncToken: '', isOffline: false, next: utcNow(), cards: {} });
}

/** Erases a device, as after a factory reset: it fetches all cards again. */
export async function resetStandIn(db: HubDb, kind: StandInKind): Promise<void> {
  const state = await findStandIn(db, kind);
  if (state) await keepStandIn(db, kind, { ...state, syncToken: '', cards: {}, next: utcNow() });
}

/** Removes devices whose passport has been removed. */
export async function dropOrphans(db: HubDb): Promise<void> {
  const users = new Set((await listDevices(db)).map(({ user }) => user));
  for (const kind of Object.keys(STAND_INS) as StandInKind[]) {
    const head = await findStandInHead(db, kind);
    if (head && !users.has(head.user))
      await inTransaction(db, (store) => store.deleteFrom('standIns').where('kind', '=', kind).execute());
  }
}
