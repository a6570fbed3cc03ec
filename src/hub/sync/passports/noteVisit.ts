import { type HubDb, inTransaction } from '@/hub/store';

import type { Device } from './passports';

/** Requests that are no further apart than this belong to one sync, in milliseconds. */
const APART_MS = 60_000;
/** How long visits are kept, in milliseconds. */
const KEPT_MS = 90 * 24 * 3600 * 1000;

/** What a request was, beside the changes that it brought, which are counted with them. */
interface Visit {
  /** Cards that it was served. */
  readonly went: number;
  readonly fault?: string;
}

/** The current sync of a device, started if there is none. @param now - UTCDateTime */
export function syncNow(db: HubDb, { id }: Pick<Device, 'id'>, now: string): Promise<number> {
  const known = currentOf(db, id, now);
  return known ? Promise.resolve(known.sync) : inTransaction(db, (store) => beginSync(db, store, id, now));
}

/** Counts the cards served with one request, and notes a fault. @param now - UTCDateTime */
export function noteVisit(db: HubDb, { id }: Device, now: string, visit: Visit): Promise<void> {
  const known = currentOf(db, id, now);
  // A sync of many requests of which most bring nothing needn't write with each.
  if (known && visit.went === 0 && visit.fault === undefined) {
    known.until = now;
    return Promise.resolve();
  }
  return inTransaction(db, async (store) => {
    const sync = currentOf(db, id, now)?.sync ?? (await beginSync(db, store, id, now));
    await store
      .updateTable('syncs')
      .set(({ eb }) => ({
        went: eb('went', '+', visit.went),
        ...(visit.fault === undefined ? {} : { fault: visit.fault }),
      }))
      .where('id', '=', sync)
      .execute();
    last.get(db)?.set(id, { sync, until: now });
  });
}

interface Current {
  readonly sync: number;
  /** UTCDateTime of its last request. */
  until: string;
}

const last = new WeakMap<HubDb, Map<number, Current>>();

function currentOf(db: HubDb, device: number, now: string): Current | undefined {
  const known = last.get(db)?.get(device);
  return known && Date.parse(now) - Date.parse(known.until) < APART_MS ? known : undefined;
}

async function beginSync(db: HubDb, store: HubDb, device: number, now: string): Promise<number> {
  const known = currentOf(db, device, now);
  if (known) return known.sync;
  const { id: sync } = await store
    .insertInto('syncs')
    .values({ device, at: now, came: 0, went: 0, fault: null, undone: null })
    .returning('id')
    .executeTakeFirstOrThrow();
  await store
    .deleteFrom('syncs')
    .where('device', '=', device)
    .where('at', '<', new Date(Date.parse(now) - KEPT_MS).toISOString())
    .execute();
  const visits = last.get(db) ?? new Map<number, Current>();
  last.set(db, visits.set(device, { sync, until: now }));
  return sync;
}

/** Ends the current sync, which has been undone: the device's next request starts a new one. */
export function endSync(db: HubDb, device: number): void {
  last.get(db)?.delete(device);
}
