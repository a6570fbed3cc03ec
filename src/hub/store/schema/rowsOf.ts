import { type Kysely, sql } from 'kysely';

import type { HubDb } from './tables';

/** A row of any table. */
export type Row = Readonly<Record<string, unknown>>;
/** Tables as they come. */
export type AnyDb = Kysely<Record<string, Row>>;

/** Rows read at once. */
const AT_ONCE = 100;

/**
 * The rows of a table in the order of its key, some at a time.
 *
 * @param key - the columns that tell its rows apart
 * @param has - only rows with this in one of some columns, where it is said
 */
export async function* rowsOf(
  db: HubDb,
  table: string,
  key: readonly string[],
  has?: { readonly columns: readonly string[]; readonly text: string },
): AsyncGenerator<Row[]> {
  const columns = sql.join(key.map((column) => sql.ref(column)));
  let last: Row | undefined;
  for (;;) {
    const after: Row | undefined = last;
    let query = (db as unknown as AnyDb).selectFrom(table).selectAll();
    if (has)
      query = query.where(({ eb, or }) =>
        or(has.columns.map((column) => eb(column, 'like', `%${has.text}%`))),
      );
    if (after)
      query = query.where(sql<boolean>`(${columns}) > (${sql.join(key.map((column) => after[column]))})`);
    const rows: Row[] = await query.orderBy(columns).limit(AT_ONCE).execute();
    if (rows.length > 0) yield rows;
    if (rows.length < AT_ONCE) return;
    last = rows.at(-1);
  }
}
