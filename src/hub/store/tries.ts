import { createHash } from 'node:crypto';

import { RateLimiterMemory } from 'rate-limiter-flexible';

import { StoreFault } from './engines/storeFault';
import { inTransaction } from './openStore';
import type { HubDb } from './schema/tables';

/** How often something may be tried. It is counted in the store: whichever hub is asked, and however often it is started. */
export interface Limit {
  readonly name: string;
  readonly most: number;
  /** In how long, in milliseconds. */
  readonly withinMs: number;
}

/** A limit, and what it is counted by, such as an address. */
export type Counted = readonly [limit: Limit, by: string];

/** What stands in the store says nothing of who has tried. */
const keyOf = ([{ name }, by]: Counted) => createHash('sha256').update(`${name} ${by}`).digest('base64url');

/**
 * Counts a try before it is made. Where the store can be read but not written it is counted in memory, so that whoever only reads
 * is let in, and nobody guesses the faster for it.
 *
 * @returns whether all of some limits let it be made; where one doesn't, it isn't counted
 */
export async function mayTry(db: HubDb, nowMs: number, ...limits: readonly Counted[]): Promise<boolean> {
  // Looked at first: whoever is refused has nothing written.
  if (!(await countsOf(db, nowMs, limits))) return false;
  try {
    return await countIn(db, nowMs, limits);
  } catch (error) {
    if (!(error instanceof StoreFault)) throw error;
    return countMeanwhile(limits);
  }
}

const meanwhile = new Map<string, RateLimiterMemory>();

async function countMeanwhile(limits: readonly Counted[]): Promise<boolean> {
  for (const [{ name, most, withinMs }, by] of limits) {
    const limiter = meanwhile.get(name) ?? new RateLimiterMemory({ points: most, duration: withinMs / 1000 });
    meanwhile.set(name, limiter);
    // The package refuses with a value of its own, and fails with an error.
    const refused: unknown = await limiter.consume(by).then(
      () => undefined,
      (reason: unknown) => reason,
    );
    if (refused instanceof Error) throw refused;
    if (refused !== undefined) return false;
  }
  return true;
}

function countIn(db: HubDb, nowMs: number, limits: readonly Counted[]): Promise<boolean> {
  return inTransaction(db, async (store) => {
    const counts = await countsOf(store, nowMs, limits);
    if (!counts) return false;
    await store.deleteFrom('tries').where('untilMs', '<=', nowMs).execute();
    for (const one of limits) {
      const key = keyOf(one);
      const { count, untilMs } = counts.get(key) ?? { count: 0, untilMs: nowMs + one[0].withinMs };
      await store
        .insertInto('tries')
        .values({ key, count: count + 1, untilMs })
        .onConflict((conflict) => conflict.column('key').doUpdateSet({ count: count + 1, untilMs }))
        .execute();
    }
    return true;
  });
}

/** What has been counted; undefined where a limit has been reached. */
async function countsOf(
  db: HubDb,
  nowMs: number,
  limits: readonly Counted[],
): Promise<ReadonlyMap<string, { readonly count: number; readonly untilMs: number }> | undefined> {
  const rows = await db.selectFrom('tries').selectAll().where('key', 'in', limits.map(keyOf)).execute();
  const limitBy = new Map(limits.map((one) => [keyOf(one), one[0]]));
  // One that would last longer than any was counted when the clock said something else.
  const lasting = rows.filter(
    ({ key, untilMs }) => untilMs > nowMs && untilMs <= nowMs + (limitBy.get(key)?.withinMs ?? 0),
  );
  const isReached = lasting.some(({ key, count }) => count >= (limitBy.get(key)?.most ?? 0));
  return isReached ? undefined : new Map(lasting.map((row) => [row.key, row]));
}

/** What was tried was right: all that was counted by the first is forgotten, and one try by each of the others. */
export async function wasRight(
  db: HubDb,
  forgotten: Counted,
  ...givenBack: readonly Counted[]
): Promise<void> {
  await inTransaction(db, async (store) => {
    await store.deleteFrom('tries').where('key', '=', keyOf(forgotten)).execute();
    if (givenBack.length > 0)
      await store
        .updateTable('tries')
        .set(({ eb }) => ({ count: eb('count', '-', 1) }))
        .where('key', 'in', givenBack.map(keyOf))
        .where('count', '>', 0)
        .execute();
  });
}
