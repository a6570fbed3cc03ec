import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';

import { lastSeq, toCard } from './cards';
import type { HubDb } from './schema/tables';

/** A card with the change that last wrote it. */
export interface BookCard {
  readonly card: Card;
  readonly seq: number;
}

/** All cards of a store as they were with a change. */
export interface Book {
  readonly seq: number;
  readonly cards: ReadonlyMap<string, BookCard>;
}

interface Kept {
  seq: number;
  readonly cards: Map<string, BookCard>;
}

const books = new WeakMap<HubDb, Promise<Kept>>();

/** Uids asked for in one query. */
const AT_ONCE = 500;

/**
 * All cards, read once and kept up to date for everybody who looks at them: reading and taking apart eleven thousand takes longer
 * than all else that a device's first sync does.
 *
 * @param db - the store itself, not a transaction
 */
export function bookOf(db: HubDb): Promise<Book> {
  // One after the other, as each goes on from what the one before has read.
  const before = books.get(db) ?? Promise.resolve({ seq: 0, cards: new Map<string, BookCard>() });
  const now = before.then((kept) => update(db, kept));
  books.set(
    db,
    now.catch(() => before),
  );
  return now;
}

async function update(db: HubDb, kept: Kept): Promise<Kept> {
  const seq = await lastSeq(db);
  if (seq === kept.seq) return kept;
  if (kept.seq === 0) {
    for (const row of await db.selectFrom('cards').select(['uid', 'card', 'seq']).execute())
      kept.cards.set(row.uid, { card: toCard(row.card), seq: row.seq });
    // What has changed while it was read is read again with the next.
    kept.seq = seq;
    return kept;
  }
  const uids = await changedUids(db, kept.seq);
  for (const some of inBatches(uids, AT_ONCE)) {
    const rows = await db
      .selectFrom('cards')
      .select(['uid', 'card', 'seq'])
      .where('uid', 'in', some)
      .execute();
    const there = new Map(rows.map((row) => [row.uid, row]));
    for (const uid of some) {
      const row = there.get(uid);
      if (!row) kept.cards.delete(uid);
      else if (kept.cards.get(uid)?.seq !== row.seq)
        kept.cards.set(uid, { card: toCard(row.card), seq: row.seq });
    }
  }
  kept.seq = seq;
  return kept;
}

/** The uids of cards that have changed since a change, or gone. */
export async function changedUids(db: HubDb, since: number): Promise<string[]> {
  // Asked for each once only here: SQLite would read its index of all uids for it.
  const rows = await db.selectFrom('changes').select('uid').where('seq', '>', since).execute();
  return [...new Set(rows.map(({ uid }) => uid))];
}
