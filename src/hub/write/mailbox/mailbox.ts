import type { Selectable } from 'kysely';
import PostalMime from 'postal-mime';

import type { MailHeadView, MailView, NewMail } from '@/core/sync';
import { type HubDb, inTransaction, type MailsTable, notifyOfChange } from '@/hub/store';

/** A stored message. */
export type KeptMail = Selectable<MailsTable>;

/** A name with an address, as headers have them. */
export interface MailAddress {
  readonly name: string;
  readonly address: string;
}

/** Seconds that a message waits in the outbox, so that one can be seen there. */
const OUTBOX_S = 3;
/** Messages shown of each box. */
const SHOWN = 200;

/** Why a message file can't be sent. */
export class MailFault extends Error {}

/** Queues messages in the outbox. @throws MailFault for one without somebody it goes to, or that is no message */
export async function sendMails(db: HubDb, messages: readonly string[], nowMs: number): Promise<number> {
  const rows: Omit<KeptMail, 'id'>[] = [];
  for (const message of messages) {
    const read = await readMail(message);
    if (!read.from) throw new MailFault('a message says whom it is from');
    if (read.to.length === 0) throw new MailFault('a message goes to somebody');
    const at = new Date(nowMs + OUTBOX_S * 1000).toISOString();
    rows.push(rowOf('outbox', at, message, { ...read, from: read.from }));
  }
  await inTransaction(db, async (store) => {
    for (const row of rows) await store.insertInto('mails').values(row).execute();
  });
  return rows.length;
}

/** A row for a message. */
export function rowOf(
  box: KeptMail['box'],
  at: string,
  message: string,
  { from, to, subject }: { from: MailAddress; to: readonly MailAddress[]; subject: string },
): Omit<KeptMail, 'id'> {
  const people = { sender: JSON.stringify(from), recipients: JSON.stringify(to) };
  return { box, at, ...people, subject, message, isRead: box === 'inbox' || box === 'coming' ? 0 : 1 };
}

/** What a message file says. */
export interface ReadMail {
  readonly from: MailAddress | undefined;
  /** To, Cc and Bcc together. */
  readonly to: readonly MailAddress[];
  readonly subject: string;
  readonly text: string;
  readonly files: readonly string[];
  readonly messageId: string;
}

/** Reads a message file (RFC 5322). */
export async function readMail(message: string): Promise<ReadMail> {
  const mail = await PostalMime.parse(message);
  const open = (all: typeof mail.to = []): MailAddress[] =>
    all.flatMap(({ name, address, group }) =>
      group
        ? group.map((one) => ({ name: one.name, address: one.address ?? '' }))
        : [{ name, address: address ?? '' }],
    );
  const [from] = open(mail.from ? [mail.from] : []);
  return {
    from: from && from.address !== '' ? from : undefined,
    to: [...open(mail.to), ...open(mail.cc), ...open(mail.bcc)].filter(({ address }) => address !== ''),
    subject: mail.subject ?? '',
    text: mail.text ?? '',
    files: mail.attachments.map(({ filename }) => filename ?? 'file'),
    messageId: mail.messageId ?? '',
  };
}

/** The messages of the mailbox, the latest first. */
export async function listMails(db: HubDb): Promise<MailHeadView[]> {
  const rows = await db
    .selectFrom('mails')
    .selectAll()
    .where('box', '!=', 'coming')
    .orderBy('at', 'desc')
    .limit(SHOWN)
    .execute();
  return rows.flatMap((row) => headOf(row) ?? []);
}

/** One message whole; from then on it has been read. */
export async function openMail(db: HubDb, id: number): Promise<MailView | undefined> {
  const row = await db.selectFrom('mails').selectAll().where('id', '=', id).executeTakeFirst();
  const head = row && headOf(row);
  if (!row || !head) return undefined;
  if (row.isRead === 0)
    await inTransaction(db, (store) =>
      store.updateTable('mails').set({ isRead: 1 }).where('id', '=', id).execute(),
    );
  const { text, files } = await readMail(row.message);
  return { ...head, isRead: true, text: text.trim(), files: [...files] };
}

function headOf({ id, box, at, sender, recipients, subject, isRead }: KeptMail): MailHeadView | undefined {
  if (box === 'coming') return undefined;
  // Written by rowOf only.
  const people = { from: JSON.parse(sender) as MailAddress, to: JSON.parse(recipients) as MailAddress[] };
  return { id, box, at, ...people, subject, isRead: isRead === 1 };
}

/** Messages that were sent or came in after one of them, as a mailbox file (RFC 4155, "mboxrd" quoting). */
export async function newMail(db: HubDb, since: number): Promise<NewMail> {
  const rows = await db
    .selectFrom('mails')
    .selectAll()
    .where('box', 'in', ['sent', 'inbox'])
    .where('id', '>', since)
    .orderBy('id')
    .execute();
  const mbox = rows
    .map(({ sender, at, message }) => {
      const { address } = JSON.parse(sender) as MailAddress;
      const body = message.replace(/\r\n/g, '\n').replace(/^(>*From )/gm, '>$1');
      return `From ${address} ${new Date(at).toUTCString()}\n${body.endsWith('\n') ? body : `${body}\n`}`;
    })
    .join('\n');
  return { mbox, last: Math.max(since, rows.at(-1)?.id ?? 0) };
}

/** Moves a message in transit to the inbox, under a new number, so that a query for new messages finds it. */
export async function deliverToInbox(
  store: HubDb,
  { id, ...mail }: KeptMail,
  box: 'sent' | 'inbox',
): Promise<void> {
  await store.deleteFrom('mails').where('id', '=', id).execute();
  await store
    .insertInto('mails')
    .values({ ...mail, box })
    .execute();
  notifyOfChange(store, 0);
}
