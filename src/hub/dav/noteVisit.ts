import type { Device } from '../passports/passports';
import { type HubDb, inTransaction } from '../store/openStore';

/** Requests that are no further apart than this belong to one sync, in milliseconds. */
const APART_MS = 60_000;
/** How long visits are kept, in milliseconds. */
const KEPT_MS = 90 * 24 * 3600 * 1000;

interface Visit {
  readonly came: number;
  readonly went: number;
  readonly fault?: string;
}

/** Counts what came and went with one request. @param now - UTCDateTime */
export function noteVisit(db: HubDb, { id }: Device, now: string, visit: Visit): Promise<void> {
  const known = last.get(db)?.get(id);
  const isSame = known !== undefined && Date.parse(now) - Date.parse(known.until) < APART_MS;
  // A sync of many requests of which most bring nothing needn't write with each.
  if (isSame && visit.came === 0 && visit.went === 0 && visit.fault === undefined) {
    known.until = now;
    return Promise.resolve();
  }
  return inTransaction(db, async (store) => {
    if (isSame) {
      await store
        .updateTable('syncs')
        .set(({ eb }) => ({
          came: eb('came', '+', visit.came),
          went: eb('went', '+', visit.went),
          ...(visit.fault === undefined ? {} : { fault: visit.fault }),
        }))
        .where('id', '=', known.sync)
        .execute();
      known.until = now;
      return;
    }
    const { came, went, fault = null } = visit;
    const { id: sync } = await store
      .insertInto('syncs')
      .values({ device: id, at: now, came, went, fault })
      .returning('id')
      .executeTakeFirstOrThrow();
    await store
      .deleteFrom('syncs')
      .where('device', '=', id)
      .where('at', '<', new Date(Date.parse(now) - KEPT_MS).toISOString())
      .execute();
    const visits = last.get(db) ?? new Map<number, { sync: number; until: string }>();
    last.set(db, visits.set(id, { sync, until: now }));
  });
}

const last = new WeakMap<HubDb, Map<number, { sync: number; until: string }>>();
