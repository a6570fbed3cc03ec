import type { HubDb } from './schema/tables';

/** The number of the last message sent or received; 0 for none. */
export async function lastMail(db: HubDb): Promise<number> {
  const row = await db
    .selectFrom('mails')
    .select(({ fn }) => fn.max('id').as('id'))
    .where('box', 'in', ['sent', 'inbox'])
    .executeTakeFirst();
  return row?.id ?? 0;
}
