import type { Kysely } from 'kysely';

/** The mailbox that ships with the product. */
export async function addMails({ schema }: Kysely<never>): Promise<void> {
  await schema
    .createTable('mails')
    .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('box', 'text', (column) => column.notNull())
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('sender', 'text', (column) => column.notNull())
    .addColumn('recipients', 'text', (column) => column.notNull())
    .addColumn('subject', 'text', (column) => column.notNull())
    .addColumn('message', 'text', (column) => column.notNull())
    .addColumn('isRead', 'integer', (column) => column.notNull())
    .execute();
  await schema.createIndex('mails_box').on('mails').column('box').execute();
}
