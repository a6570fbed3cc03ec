import { type HubDb, inTransaction } from '@/hub/store';

import type { Device } from './passports';

/** Requests that are no further apart than this belong to one sync, in milliseconds. */
const APART_MS = 60_000;
/** How often it is written that a sync goes on, in milliseconds: not with each of its requests. */
const WRITE_MS = 15_000;
/** How long visits are kept, in milliseconds. */
const KEPT_MS = 90 * 24 * 3600 * 1000;

/** What a request was, beside the changes that it brought, which are counted with them. */
interface Visit {
  /** Cards that it was served. */
  readonly went: number;
  readonly fault?: string;
}

/** The current sync of a device, started if there is none. @param now - UTCDateTime */
export async function syncNow(db: HubDb, { id }: Pick<Device, 'id'>, now: string): Promise<number> {
  const current = await currentOf(db, id, now);
  return current?.sync ?? inTransaction(db, (store) => syncIn(store, id, now));
}

/** Counts the cards served with one request, and notes a fault. @param now - UTCDateTime */
export async function noteVisit(db: HubDb, { id }: Device, now: string, visit: Visit): Promise<void> {
  const current = await currentOf(db, id, now);
  const isQuiet = visit.went === 0 && visit.fault === undefined;
  if (isQuiet && current && Date.parse(now) - current.untilMs < WRITE_MS) return;
  await inTransaction(db, async (store) => {
    const sync = await syncIn(store, id, now);
    await store
      .updateTable('syncs')
      .set(({ eb }) => ({
        went: eb('went', '+', visit.went),
        until: now,
        ...(visit.fault === undefined ? {} : { fault: visit.fault }),
      }))
      .where('id', '=', sync)
      .execute();
  });
}

interface Current {
  readonly sync: number;
  /** When it was last written that it goes on, in milliseconds since 1970. */
  readonly untilMs: number;
}

/** The sync that a request belongs to, whichever hub had the one before; undefined where it begins one. */
async function currentOf(db: HubDb, device: number, now: string): Promise<Current | undefined> {
  const row = await db
    .selectFrom('syncs')
    .select(['id', 'until', 'undone'])
    .where('device', '=', device)
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();
  // What has been undone is over.
  if (row?.until == null || row.undone !== null) return undefined;
  const untilMs = Date.parse(row.until);
  return Date.parse(now) - untilMs < APART_MS ? { sync: row.id, untilMs } : undefined;
}

/** The sync in which a device is, begun where it is in none. */
async function syncIn(store: HubDb, device: number, now: string): Promise<number> {
  const current = await currentOf(store, device, now);
  if (current) return current.sync;
  const { id: sync } = await store
    .insertInto('syncs')
    .values({ device, at: now, until: now, came: 0, went: 0, fault: null, undone: null })
    .returning('id')
    .executeTakeFirstOrThrow();
  await store
    .deleteFrom('syncs')
    .where('device', '=', device)
    .where('at', '<', new Date(Date.parse(now) - KEPT_MS).toISOString())
    .execute();
  return sync;
}
