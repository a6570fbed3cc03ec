import type { Selectable } from 'kysely';

import type { HubDb, MemoryTable } from './schema/tables';

/** What a device was last served of a card; undefined if it never was. */
export function findMemory(
  db: HubDb,
  device: number,
  uid: string,
): Promise<Selectable<MemoryTable> | undefined> {
  return db
    .selectFrom('memory')
    .selectAll()
    .where('device', '=', device)
    .where('uid', '=', uid)
    .executeTakeFirst();
}
