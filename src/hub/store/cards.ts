import type { Card } from '@/core/card';

import { columnsOf } from './schema/columnsOf';
import { putPicturesAside, withPictures } from './schema/pictures';
import type { HubDb } from './schema/tables';
import { notifyOfChange } from './Writes';

/** The source of a change, and its text in the log. */
export interface ChangeSource {
  /** UTCDateTime. */
  readonly at: string;
  /** null for the application. */
  readonly device: number | null;
  /** The browser in which the application runs. */
  readonly browser?: number;
  /** The sync of a device that it belongs to. */
  readonly sync?: number | undefined;
  readonly says: string;
}

/** The number of the last change; 0 before the first. */
export async function lastSeq(db: HubDb): Promise<number> {
  const row = await db
    .selectFrom('changes')
    .select(({ fn }) => fn.max('seq').as('seq'))
    .executeTakeFirst();
  return row?.seq ?? 0;
}

/** The uids of cards that have changed since a change, or gone. */
export async function changedUids(db: HubDb, since: number): Promise<string[]> {
  // Asked for each once only here: SQLite would read its index of all uids for it.
  const rows = await db.selectFrom('changes').select('uid').where('seq', '>', since).execute();
  return [...new Set(rows.map(({ uid }) => uid))];
}

/** A card by its uid, its pictures put aside. */
export async function findCard(db: HubDb, uid: string): Promise<Card | undefined> {
  const row = await db.selectFrom('cards').select('card').where('uid', '=', uid).executeTakeFirst();
  return row ? toCard(row.card) : undefined;
}

/** Every card, as it came. */
export async function allCards(db: HubDb): Promise<Card[]> {
  const rows = await db.selectFrom('cards').select('card').orderBy('uid').execute();
  return withPictures(
    db,
    rows.map(({ card }) => toCard(card)),
  );
}

/** Stores a card, or deletes it, and logs the change. @returns the number of the change */
export async function putCard(
  db: HubDb,
  uid: string,
  given: Card | undefined,
  { at, device, browser, sync, says }: ChangeSource,
): Promise<number> {
  const card = given && (await putPicturesAside(db, given));
  const known = await db.selectFrom('cards').select('card').where('uid', '=', uid).executeTakeFirst();
  const after = card === undefined ? null : JSON.stringify(card);
  const { seq } = await db
    .insertInto('changes')
    .values({
      uid,
      at,
      device,
      browser: browser ?? null,
      sync: sync ?? null,
      says,
      before: known?.card ?? null,
      after,
    })
    .returning('seq')
    .executeTakeFirstOrThrow();
  if (card === undefined || after === null) {
    await db.deleteFrom('cards').where('uid', '=', uid).execute();
    // What was made of it for devices; of one that goes on it is made anew.
    await db.deleteFrom('shown').where('uid', '=', uid).execute();
  } else {
    const row = { card: after, seq, ...columnsOf(uid, card) };
    await db
      .insertInto('cards')
      .values({ uid, ...row })
      .onConflict((conflict) => conflict.column('uid').doUpdateSet(row))
      .execute();
  }
  notifyOfChange(db, seq);
  return seq;
}

/** A stored card. Written by putCard only, so that its shape is known. */
export function toCard(text: string): Card {
  return JSON.parse(text) as Card;
}
