import { encodeUtf8 } from '@/core/base';
import { MailSplitter } from '@/core/talks';
import { type HubDb, inTransaction } from '@/hub/store';

import { type KeptMail, readMail, rowOf } from './mailbox';

/** Fills an empty mailbox with the messages of a mailbox file (RFC 4155). @param own - whose mailbox it is */
export async function stageMails(db: HubDb, mbox: string, own: string): Promise<void> {
  const known = await db.selectFrom('mails').select('id').limit(1).executeTakeFirst();
  if (known) return;
  const texts = splitMbox(mbox);
  const rows: Omit<KeptMail, 'id'>[] = [];
  for (const text of texts) {
    const read = await readMail(text);
    const date = /^Date: (.*)$/m.exec(text)?.[1] ?? '';
    if (!read.from || Number.isNaN(Date.parse(date))) continue;
    const box = read.from.address === own ? 'sent' : 'inbox';
    const at = new Date(date).toISOString();
    rows.push({ ...rowOf(box, at, text, { ...read, from: read.from }), isRead: 1 });
  }
  rows.sort((a, b) => (a.at < b.at ? -1 : 1));
  await inTransaction(db, async (store) => {
    for (const row of rows) await store.insertInto('mails').values(row).execute();
  });
}

function splitMbox(mbox: string): string[] {
  const texts: string[] = [];
  const decoder = new TextDecoder();
  const splitter = new MailSplitter({
    withBodies: true,
    onMail: ({ head, body }) => texts.push(`${decoder.decode(head).trimEnd()}\n\n${decoder.decode(body)}`),
  });
  splitter.push(encodeUtf8(mbox));
  splitter.end();
  return texts;
}
