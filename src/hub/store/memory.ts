import { sql } from 'kysely';

import type { HubDb } from './schema/tables';

/** What a device was last served of a card. */
export interface Memory {
  readonly uid: string;
  /** The last part of its address there. */
  readonly href: string;
  /** The hub's card then, as JSON. */
  readonly card: string;
  /** The change that had made it; null where it is none of the book's own versions. */
  readonly seq: number | null;
}

/** What a device was last served of all cards, as a query that may be narrowed. */
export function memories(db: HubDb, device: number) {
  return db
    .selectFrom('memory')
    .leftJoin('changes as then', 'then.seq', 'memory.seq')
    .select(['memory.uid', 'memory.href', 'memory.seq'])
    .select(
      sql<string>`case when ${sql.ref('memory.seq')} is null then ${sql.ref('memory.card')}
      else coalesce(${sql.ref('then.after')}, ${sql.ref('memory.card')}) end`.as('card'),
    )
    .where('memory.device', '=', device);
}

/** What a device was last served of a card; undefined if it never was. */
export function findMemory(db: HubDb, device: number, uid: string): Promise<Memory | undefined> {
  return memories(db, device).where('memory.uid', '=', uid).executeTakeFirst();
}
