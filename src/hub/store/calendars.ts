import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';

import { inTransaction } from './openStore';
import type { HubDb } from './schema/tables';

/** A calendar by its token; undefined where there is none. */
export async function findCalendar(db: HubDb, token: string): Promise<string | undefined> {
  const row = await db.selectFrom('calendars').select('text').where('token', '=', token).executeTakeFirst();
  return row?.text;
}

/** Stores a calendar under its token. @returns whether there was room beside at most so many others */
export function putCalendar(db: HubDb, token: string, text: string, most: number): Promise<boolean> {
  return inTransaction(db, async (store) => {
    const others = await store.selectFrom('calendars').select('token').where('token', '!=', token).execute();
    if (others.length >= most) return false;
    await store
      .insertInto('calendars')
      .values({ token, text })
      .onConflict((conflict) => conflict.column('token').doUpdateSet({ text }))
      .execute();
    return true;
  });
}

/** Ends a calendar. */
export async function dropCalendar(db: HubDb, token: string): Promise<void> {
  await inTransaction(db, (store) => store.deleteFrom('calendars').where('token', '=', token).execute());
}

/** Takes calendars in that lie in files, as they did before they were in the store. @param folder - where they are, or not */
export async function takeCalendars(db: HubDb, folder: string): Promise<void> {
  if (!existsSync(folder)) return;
  for (const file of readdirSync(folder)) {
    const token = /^([0-9a-f]{32})\.ics$/.exec(file)?.[1];
    if (token === undefined) continue;
    const text = readFileSync(join(folder, file), 'utf8');
    await inTransaction(db, (store) =>
      store
        .insertInto('calendars')
        .values({ token, text })
        // What is in the store is newer.
        .onConflict((conflict) => conflict.column('token').doNothing())
        .execute(),
    );
    rmSync(join(folder, file));
  }
}
