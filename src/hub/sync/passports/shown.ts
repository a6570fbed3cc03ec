import { type Expression, type Selectable, sql } from 'kysely';

import { inBatches } from '@/core/base';
import { type HubDb, ifPossible, inTransaction, type ShownTable } from '@/hub/store';

import type { Device } from './passports';

/** What devices that see the same of cards see of one. */
export type Shown = Selectable<ShownTable>;

/** Rows per statement: SQLite takes some thousand values in one. */
const AT_ONCE = 100;

/** A card as it is served. */
export type MadeText = Pick<Shown, 'shape' | 'uid' | 'seq'> & { readonly text: string };

/** What of a card goes along: devices for which it is the same see the same. */
export function shapeOf({
  notes,
  photos,
  photoSide,
}: Pick<Device, 'notes' | 'photos' | 'photoSide'>): string {
  return JSON.stringify([notes, photos, photoSide]);
}

/** Cards, each with what has been made of this version of it. */
export function cardsWithShown(db: HubDb, shape: string) {
  return db
    .selectFrom('cards')
    .leftJoin('shown', (join) =>
      join
        .on('shown.shape', '=', shape)
        .onRef('shown.place', '=', 'cards.place')
        .onRef('shown.uid', '=', 'cards.uid')
        .onRef('shown.seq', '=', 'cards.seq'),
    );
}

/** Keeps what has been made of some cards, for whoever asks next. Where it can't be written it is made again. */
export async function keepShown(db: HubDb, rows: readonly Shown[]): Promise<void> {
  if (rows.length === 0) return;
  await ifPossible(
    inTransaction(db, async (store) => {
      for (const some of inBatches(rows, AT_ONCE))
        await store
          .insertInto('shown')
          .values([...some])
          .onConflict((conflict) =>
            conflict
              .columns(['shape', 'uid'])
              .doUpdateSet(({ ref }) => ({
                place: ref('excluded.place'),
                seq: ref('excluded.seq'),
                etag: ref('excluded.etag'),
                marks: ref('excluded.marks'),
                asked: orAsBefore(ref('excluded.asked'), ref('shown.asked')),
                text: orAsBefore(ref('excluded.text'), ref('shown.text')),
              }))
              // What was made of a later version stays.
              .whereRef('excluded.seq', '>=', 'shown.seq'),
          )
          .execute();
    }),
  );
}

/** Keeps texts of cards of which anything is kept, for whoever asks next. */
export async function keepTexts(db: HubDb, made: readonly MadeText[]): Promise<void> {
  if (made.length === 0) return;
  await ifPossible(
    inTransaction(db, async (store) => {
      for (const { shape, uid, seq, text } of made)
        await store
          .updateTable('shown')
          .set({ text })
          .where('shape', '=', shape)
          .where('uid', '=', uid)
          .where('seq', '=', seq)
          .execute();
    }),
  );
}

/** Removes what was made of cards that are gone, and for passports that are no more. @returns how many rows */
export async function clearShown(db: HubDb, shapes: readonly string[]): Promise<number> {
  const [done] = await inTransaction(db, (store) =>
    store
      .deleteFrom('shown')
      .where(({ eb, or, selectFrom }) =>
        or([
          eb('uid', 'not in', selectFrom('cards').select('uid')),
          ...(shapes.length === 0 ? [sql<boolean>`true`] : [eb('shape', 'not in', [...shapes])]),
        ]),
      )
      .execute(),
  );
  return Number(done?.numDeletedRows ?? 0);
}

/** What was made of the same version before stays where it isn't made now. */
function orAsBefore(now: Expression<string | null>, before: Expression<string | null>) {
  return sql<string | null>`coalesce(${now}, case when excluded.seq = shown.seq then ${before} end)`;
}
