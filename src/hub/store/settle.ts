import { isSameJson } from '@/core/base';
import type { Conflict } from '@/core/sync';

import type { HubDb } from './schema/tables';

/** Values of a card that somebody has just changed differently from a change in the meantime. */
export interface ToSettle {
  readonly uid: string;
  readonly conflicts: readonly Conflict[];
  /** Who has sent theirs, by name. */
  readonly by: string;
  /** UTCDateTime. */
  readonly at: string;
}

/** Keeps both values until somebody chooses. Call it after the change that they came with. */
export async function noteToSettle(db: HubDb, { uid, conflicts, by, at }: ToSettle): Promise<void> {
  if (conflicts.length === 0) return;
  const mine = await lastOther(db, uid, by);
  for (const conflict of conflicts) {
    const known = await db
      .selectFrom('settle')
      .select(['id', 'theirs'])
      .where('uid', '=', uid)
      .where('path', '=', conflict.path)
      .execute();
    // The same conflict sent again, by a device that repeats a card, is settled once.
    if (known.some(({ theirs }) => isSameJson(JSON.parse(theirs), conflict.theirs))) continue;
    await db
      .insertInto('settle')
      .values({
        ...{ uid, path: conflict.path, mine: JSON.stringify(conflict.mine), mineBy: mine?.by ?? null },
        ...{ mineAt: mine?.at ?? at, theirs: JSON.stringify(conflict.theirs), theirsBy: by, theirsAt: at },
      })
      .execute();
  }
}

/** Who changed a card last before the one who has just sent something. */
async function lastOther(
  db: HubDb,
  uid: string,
  by: string,
): Promise<{ by: string | null; at: string } | undefined> {
  const rows = await db
    .selectFrom('changes')
    .leftJoin('devices', 'devices.id', 'changes.device')
    .leftJoin('browsers', 'browsers.id', 'changes.browser')
    .select(['changes.at', 'devices.name as device', 'browsers.name as browser'])
    .where('changes.uid', '=', uid)
    .orderBy('changes.seq', 'desc')
    .limit(5)
    .execute();
  const other = rows.find((row) => (row.device ?? row.browser) !== by);
  return other && { by: other.device ?? other.browser, at: other.at };
}
