import type { Selectable } from 'kysely';

import { type Card, parseCard, shownAs } from '@/core/card';
import { type DirectoryEntry, maySee, type Role } from '@/core/directory';
import { findCards, SearchIndex, toSearchDoc } from '@/core/find';
import { COUNTRY } from '@/hub/base';
import { type DirectoryEntriesTable, type HubDb, inTransaction } from '@/hub/store';
import { texts } from '@/texts/directory/hub';

import { noteInLog } from './directoryLog';
import type { Actor } from './directoryUsers';

/** Stores entries, replacing those with the same uids, in one transaction. */
export async function putEntries(db: HubDb, entries: readonly DirectoryEntry[], by: Actor): Promise<void> {
  await inTransaction(db, async (store) => {
    for (const entry of entries) {
      const { uid } = entry.card;
      const known = await store
        .selectFrom('directoryEntries')
        .selectAll()
        .where('uid', '=', uid)
        .executeTakeFirst();
      const row = toRow(entry);
      const { uid: _, ...rest } = row;
      await store
        .insertInto('directoryEntries')
        .values(row)
        .onConflict((conflict) => conflict.column('uid').doUpdateSet(rest))
        .execute();
      await noteInLog(store, {
        ...{ by, act: 'put', uid, says: `${known ? texts.changed : texts.added} ${shownAs(entry.card)}` },
        before: known && JSON.stringify(known),
        after: JSON.stringify(row),
      });
    }
  });
}

/** Removes an entry. @returns whether they were in it */
export async function removeEntry(db: HubDb, uid: string, by: Actor): Promise<boolean> {
  return inTransaction(db, async (store) => {
    const known = await store
      .selectFrom('directoryEntries')
      .selectAll()
      .where('uid', '=', uid)
      .executeTakeFirst();
    if (!known) return false;
    await store.deleteFrom('directoryEntries').where('uid', '=', uid).execute();
    const says = texts.removed(shownAs(toEntry(known)?.card ?? EMPTY));
    await noteInLog(store, { by, act: 'remove', uid, says, before: JSON.stringify(known) });
    return true;
  });
}

/** The entries a role may see on a day, by name. */
export async function entriesFor(db: HubDb, role: Role, today: string): Promise<DirectoryEntry[]> {
  const { entries } = await bookOf(db);
  return [...entries.values()].filter((entry) => maySee(role, entry, today));
}

/** One entry, regardless of who may see it; undefined for an unknown uid. */
export async function findEntry(db: HubDb, uid: string): Promise<DirectoryEntry | undefined> {
  return (await bookOf(db)).entries.get(uid);
}

/** Hits requested from the index; those that a role may not see are dropped. */
const ASKED = 200;

/** Entries found by a query, with the search of the Book. @param query - '' finds nobody */
export async function searchEntries(
  db: HubDb,
  query: string,
  { role, today, limit }: { readonly role: Role; readonly today: string; readonly limit: number },
): Promise<DirectoryEntry[]> {
  const { entries, index } = await bookOf(db);
  const { hits } = findCards(index, query, { limit: ASKED, today });
  return hits
    .flatMap(({ uid }) => entries.get(uid) ?? [])
    .filter((entry) => maySee(role, entry, today))
    .slice(0, limit);
}

interface Book {
  /** By name. */
  readonly entries: ReadonlyMap<string, DirectoryEntry>;
  readonly index: SearchIndex;
}

/** The directory in memory, rebuilt after a change: it is searched far more often than changed. */
const books = new WeakMap<HubDb, { readonly head: number; readonly book: Promise<Book> }>();

async function bookOf(db: HubDb): Promise<Book> {
  // Each change is a line of the log, whichever hub makes it.
  const row = await db
    .selectFrom('directoryLog')
    .select(({ fn }) => fn.max('id').as('id'))
    .executeTakeFirst();
  const head = row?.id ?? 0;
  const known = books.get(db);
  if (known?.head === head) return known.book;
  const book = readBook(db);
  books.set(db, { head, book });
  // One that couldn't be read is read again.
  book.catch(() => books.delete(db));
  return book;
}

async function readBook(db: HubDb): Promise<Book> {
  const rows = await db.selectFrom('directoryEntries').selectAll().execute();
  const collator = new Intl.Collator('en', { sensitivity: 'base', numeric: true });
  const sorted = rows
    .flatMap((row) => toEntry(row) ?? [])
    .sort((a, b) => collator.compare(shownAs(a.card), shownAs(b.card)));
  const entries = new Map(sorted.map((entry) => [entry.card.uid, entry]));
  const index = new SearchIndex();
  for (const { card } of entries.values()) index.add(toSearchDoc(card, COUNTRY));
  return { entries, index };
}

const EMPTY: Card = { '@type': 'Card', version: '1.0', uid: '' };

function toRow({ card, isInside, isHidden, validFrom, validTo }: DirectoryEntry): DirectoryEntriesTable {
  return {
    ...{ uid: card.uid, card: JSON.stringify(card), inside: Number(isInside), hidden: Number(isHidden) },
    ...{ validFrom: validFrom ?? null, validTo: validTo ?? null },
  };
}

function toEntry(row: Selectable<DirectoryEntriesTable>): DirectoryEntry | undefined {
  const read = parseCard(JSON.parse(row.card));
  if (read.kind !== 'card') return undefined;
  return {
    ...{ card: read.card, isInside: row.inside === 1, isHidden: row.hidden === 1 },
    ...(row.validFrom === null ? {} : { validFrom: row.validFrom }),
    ...(row.validTo === null ? {} : { validTo: row.validTo }),
  };
}
