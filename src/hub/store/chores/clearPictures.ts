import { inBatches } from '@/core/base';
import { breatheLast } from '@/hub/base';

import { inTransaction } from '../openStore';
import { PICTURE, picturesIn } from '../schema/pictures';
import { rowsOf } from '../schema/rowsOf';
import type { HubDb } from '../schema/tables';

/** Where pictures are named: tables, their keys, the columns. */
const WHERE: readonly (readonly [table: string, key: readonly string[], columns: readonly string[]])[] = [
  ['cards', ['uid'], ['card']],
  ['changes', ['seq'], ['before', 'after']],
  ['memory', ['device', 'uid'], ['card']],
  ['sent', ['browser', 'uid'], ['card']],
  ['settle', ['id'], ['mine', 'theirs']],
];

/** How long a picture stays that nobody has any more, in milliseconds. */
const KEPT_MS = 24 * 3600 * 1000;
/** Pictures removed at once. */
const AT_ONCE = 100;

/**
 * Removes pictures that no version of a card has any more.
 *
 * @param now - UTCDateTime
 * @returns how many
 */
export async function clearPictures(db: HubDb, now: string, isOver: () => boolean): Promise<number> {
  const before = new Date(Date.parse(now) - KEPT_MS).toISOString();
  const old = await db.selectFrom('pictures').select('id').where('at', '<', before).execute();
  const unused = new Set(old.map(({ id }) => id));
  for (const [table, key, columns] of WHERE)
    for await (const rows of rowsOf(db, table, key, { columns, text: PICTURE })) {
      if (isOver()) return 0;
      for (const row of rows)
        for (const column of columns)
          for (const id of picturesIn(String(row[column] ?? ''))) unused.delete(id);
      await breatheLast();
    }
  let count = 0;
  for (const some of inBatches([...unused], AT_ONCE)) {
    const [done] = await inTransaction(db, (store) =>
      store
        .deleteFrom('pictures')
        .where('id', 'in', [...some])
        // One that has been used again meanwhile has another time.
        .where('at', '<', before)
        .execute(),
    );
    count += Number(done?.numDeletedRows ?? 0);
  }
  return count;
}
