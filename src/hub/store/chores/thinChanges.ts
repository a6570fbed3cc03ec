import { sql } from 'kysely';

import { breatheLast } from '@/hub/base';

import { aboutOf, setAbout } from '../about';
import { inTransaction } from '../openStore';
import type { HubDb } from '../schema/tables';

/** How long versions of cards are kept, and how many: the rule by which a browser keeps its steps. */
export interface Retention {
  /** In years; 0 for as long as there is room. */
  readonly years: number;
  /** What all of them may take together, in millions of octets. */
  readonly megabytes: number;
}

const NAME = 'thinned';
/** Changes looked through at once. */
const AT_ONCE = 500;

/**
 * Empties versions of cards that have been kept long enough, or that there is no room for, the oldest first. What was done, when and by
 * whom stays; so does a version that is still what a card is, what a device was last served or what a browser sent last.
 *
 * @param now - UTCDateTime
 * @returns how many changes were emptied
 */
export async function thinChanges(
  db: HubDb,
  { years, megabytes }: Retention,
  now: string,
  hasToStop: () => boolean,
): Promise<number> {
  const from = years === 0 ? '' : `${Number(now.slice(0, 4)) - years}${now.slice(4)}`;
  const upTo = Math.max(await lastBefore(db, from), await lastWithoutRoom(db, megabytes * 1e6));
  const done = await thinnedTo(db);
  let count = 0;
  // What was needed then may be so no longer: it is looked through from the beginning.
  for (let last = 0; last < upTo && !hasToStop(); last += AT_ONCE) {
    const to = Math.min(upTo, last + AT_ONCE);
    count += await inTransaction(db, async (store) => {
      // Before anything is gone: nobody takes it for a card that wasn't there.
      if (to > done) await setAbout(store, NAME, String(to));
      return emptied(store, last, to);
    });
    await breatheLast();
  }
  return count;
}

/** The change up to which versions of cards may be empty. */
export async function thinnedTo(db: HubDb): Promise<number> {
  return Number((await aboutOf(db, NAME)) ?? 0);
}

async function emptied(store: HubDb, after: number, to: number): Promise<number> {
  const { rows } = await sql<{ seq: number }>`update changes set
      before = case when before is null then null else '' end,
      after = case when after is null or not ${isOver(after, to)} then after else '' end
    where seq > ${after} and seq <= ${to} and (before <> '' or (after <> '' and ${isOver(after, to)}))
    returning seq`.execute(store);
  return rows.length;
}

/** Whether what a change made is neither what a card is nor what somebody was last seen to have. */
function isOver(after: number, to: number) {
  const isHere = sql`seq > ${after} and seq <= ${to}`;
  return sql`(not exists (select 1 from cards where cards.uid = changes.uid and cards.seq = changes.seq)
    and seq not in (select seq from memory where ${isHere})
    and seq not in (select seq from sent where card = '' and ${isHere}))`;
}

async function lastBefore(db: HubDb, from: string): Promise<number> {
  const row = await db
    .selectFrom('changes')
    .select(({ fn }) => fn.max('seq').as('seq'))
    .where('at', '<', from)
    .executeTakeFirst();
  return row?.seq ?? 0;
}

/** The last change that there is no room for, when the latest are kept. @param room - in octets */
async function lastWithoutRoom(db: HubDb, room: number): Promise<number> {
  let [left, last] = [room, Number.MAX_SAFE_INTEGER];
  for (;;) {
    const { rows } = await sql<{ seq: number; size: number }>`select seq,
      coalesce(octet_length(before), 0) + coalesce(octet_length(after), 0) as size
      from changes where seq < ${last} order by seq desc limit ${AT_ONCE}`.execute(db);
    for (const { seq, size } of rows) {
      left -= Number(size);
      if (left < 0) return Number(seq);
    }
    if (rows.length < AT_ONCE) return 0;
    last = Number(rows.at(-1)?.seq ?? 0);
    await breatheLast();
  }
}
