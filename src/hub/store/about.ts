import type { HubDb } from './schema/tables';

/** What a store says of itself under a name. */
export async function aboutOf(db: HubDb, name: string): Promise<string | undefined> {
  const row = await db.selectFrom('about').select('value').where('name', '=', name).executeTakeFirst();
  return row?.value;
}

/** Has a store say something of itself. */
export async function setAbout(db: HubDb, name: string, value: string): Promise<void> {
  await db
    .insertInto('about')
    .values({ name, value })
    .onConflict((conflict) => conflict.column('name').doUpdateSet({ value }))
    .execute();
}

/** Has a store say no more of it. */
export async function unsetAbout(db: HubDb, name: string): Promise<void> {
  await db.deleteFrom('about').where('name', '=', name).execute();
}
