import type { Selectable } from 'kysely';

import {
  joinTalks,
  RECORDS_AT_ONCE,
  type RecordsPull,
  type RecordsPush,
  type SharedRecord,
} from '@/core/sync';
import { monthOf, parseTalk, type Talk, talkFault } from '@/core/talks';
import { type HubDb, inTransaction, notifyOfChange, type RecordsTable } from '@/hub/store';

import type { Browser } from './pairing';

type Row = Selectable<RecordsTable>;
type NewRow = Omit<Row, 'seq'>;

/**
 * Applies a browser's talks and settings, all or none. A deletion doesn't overwrite another browser's change; a talk
 * that both changed loses nothing; of a setting the later value wins.
 *
 * @returns what is no talk, by id, in words
 */
export function applyRecordsPush(
  db: HubDb,
  browser: Browser,
  { since, records, gone }: RecordsPush,
): Promise<Record<string, string>> {
  return inTransaction(db, async (store) => {
    const refused = new Map<string, string>();
    const known = await knownOf(store, records);
    const rows = records.flatMap((record): NewRow[] => {
      const { kind, id, value } = record;
      const talk = kind === 'talk' && value !== null ? parseTalk(value) : undefined;
      if (kind === 'talk' && value !== null && !talk) {
        refused.set(id, talkFault(value) ?? '');
        return [];
      }
      const row = rowFor(known.get(keyOf(record)), record, talk, { since, browser: browser.id });
      return row ? [row] : [];
    });
    for (const one of gone) rows.push(...(await rowsOfIntake(store, one, browser.id)));
    await putRows(store, rows);
    return Object.fromEntries(refused);
  });
}

const keyOf = ({ kind, id }: { readonly kind: string; readonly id: string }) => `${kind} ${id}`;

async function knownOf(store: HubDb, records: readonly SharedRecord[]): Promise<Map<string, Row>> {
  const ids = [...new Set(records.map(({ id }) => id))];
  if (ids.length === 0) return new Map();
  const rows = await store.selectFrom('records').selectAll().where('id', 'in', ids).execute();
  return new Map(rows.map((row) => [keyOf(row), row]));
}

/** The row that a record becomes; undefined where nothing changes by it. @param talk - its value, where it is one */
function rowFor(
  known: Row | undefined,
  { kind, id, value }: SharedRecord,
  talk: Talk | undefined,
  { since, browser }: { readonly since: number; readonly browser: number },
): NewRow | undefined {
  const text = value === null || value === undefined ? null : JSON.stringify(talk ?? value);
  if (text === (known?.value ?? null)) return undefined;
  const isUnknown = known !== undefined && known.seq > since && known.browser !== browser;
  // Deleted by a browser that didn't know of a change: it stays, and is sent again.
  if (isUnknown && known.value !== null && text === null) return undefined;
  const joined = isUnknown && talk ? joinStored(known.value, talk) : text;
  const before = known ? (JSON.parse(known.months) as string[]) : [];
  const months = [...new Set([...before, ...(talk ? [monthOf(talk)] : [])])];
  return {
    ...{ kind, id, value: joined, months: JSON.stringify(months) },
    browser: joined === text ? browser : null,
  };
}

function joinStored(value: string | null, talk: Talk): string {
  const mine = value === null ? undefined : parseTalk(JSON.parse(value));
  return JSON.stringify(mine ? joinTalks(mine, talk) : talk);
}

async function rowsOfIntake(
  store: HubDb,
  { intake, month }: RecordsPush['gone'][number],
  browser: number,
): Promise<NewRow[]> {
  const rows = await store
    .selectFrom('records')
    .selectAll()
    .where('kind', '=', 'talk')
    .where('months', 'like', `%"${month}"%`)
    .execute();
  return rows.flatMap(({ seq: _, ...row }) => {
    const talk = row.value === null ? undefined : parseTalk(JSON.parse(row.value));
    const isOfIt = talk?.intake === intake && monthOf(talk) === month;
    return isOfIt ? [{ ...row, value: null, browser }] : [];
  });
}

/** Rows per statement: SQLite takes some thousand values in one. */
const AT_ONCE = 100;

async function putRows(store: HubDb, rows: readonly NewRow[]): Promise<void> {
  let last = 0;
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const some = rows.slice(i, i + AT_ONCE);
    const ids = some.map(({ id }) => id);
    for (const kind of new Set(some.map((row) => row.kind)))
      await store.deleteFrom('records').where('kind', '=', kind).where('id', 'in', ids).execute();
    const put = await store.insertInto('records').values(some).returning('seq').execute();
    last = put.at(-1)?.seq ?? last;
  }
  if (last > 0) notifyOfChange(store, last);
}

/** Talks and settings since a cursor, the oldest first, without the browser's own. */
export async function answerRecordsPull(db: HubDb, browser: Browser, since: number): Promise<RecordsPull> {
  const head = await db
    .selectFrom('records')
    .select(({ fn }) => fn.max('seq').as('seq'))
    .executeTakeFirst();
  const rows = await db
    .selectFrom('records')
    .leftJoin('browsers', 'browsers.id', 'records.browser')
    .select(['records.seq', 'records.kind', 'records.id', 'records.value', 'records.months'])
    .select('browsers.name as by')
    .where('records.seq', '>', since)
    .where(({ eb, or }) => or([eb('records.browser', 'is', null), eb('records.browser', '!=', browser.id)]))
    .orderBy('records.seq')
    .limit(RECORDS_AT_ONCE + 1)
    .execute();
  const page = rows.slice(0, RECORDS_AT_ONCE);
  const isMore = rows.length > RECORDS_AT_ONCE;
  return {
    records: page.map(({ kind, id, value, months, by }) => ({
      ...{ kind, id, by },
      value: value === null ? null : (JSON.parse(value) as unknown),
      months: JSON.parse(months) as string[],
    })),
    seq: isMore ? (page.at(-1)?.seq ?? since) : Math.max(since, head?.seq ?? 0),
    isMore,
  };
}
