import { mailDate } from '@/core/write';
import { addHeld, findStandIn, keepStandIn, STAND_INS } from '@/hub/standins';
import { type HubDb, inTransaction } from '@/hub/store';

import { deliverToInbox, type KeptMail, type MailAddress, readMail, rowOf } from './mailbox';
import { nameIn, repliesTo } from './replies';

/**
 * Delivers the outbox and receives replies. Nothing leaves this machine: the mailbox simulates a real one. While the
 * mail client is offline, everything waits.
 */
export async function deliverMail(db: HubDb, nowMs: number): Promise<void> {
  const due = await db
    .selectFrom('mails')
    .selectAll()
    .where('box', 'in', ['outbox', 'coming'])
    .where('at', '<=', new Date(nowMs).toISOString())
    .orderBy('id')
    .execute();
  // Loaded only when there is something to deliver: its state is large, and its turn comes often.
  if (due.length === 0) return;
  const state = await findStandIn(db, 'mail');
  if (!state || state.isOffline) return;
  const writtenTo: MailAddress[] = [];
  for (const mail of due) {
    if (mail.box === 'coming') await inTransaction(db, (store) => deliverToInbox(store, mail, 'inbox'));
    else writtenTo.push(...(await send(db, mail, nowMs)));
  }
  await keepRecipients(db, writtenTo);
}

/** @returns whom it went to */
async function send(db: HubDb, mail: KeptMail, nowMs: number): Promise<readonly MailAddress[]> {
  const read = await readMail(mail.message);
  const { from } = read;
  const date = (inS: number) => mailDate(nowMs + inS * 1000);
  const replies = from ? repliesTo({ ...read, from }, date) : [];
  await inTransaction(db, async (store) => {
    await deliverToInbox(store, mail, 'sent');
    for (const { from: by, subject, message, inS } of replies) {
      const at = new Date(nowMs + inS * 1000).toISOString();
      const to = from ? [from] : [];
      await store
        .insertInto('mails')
        .values(rowOf('coming', at, message, { from: by, to, subject }))
        .execute();
    }
  });
  return read.to;
}

/** The mail client makes cards of people it writes to, as such programs do. */
async function keepRecipients(db: HubDb, to: readonly MailAddress[]): Promise<void> {
  const state = to.length === 0 ? undefined : await findStandIn(db, 'mail');
  if (!state) return;
  const known = new Set(
    Object.values(state.cards).flatMap(({ card }) =>
      Object.values(card.emails ?? {}).map(({ address }) => address.toLowerCase()),
    ),
  );
  let next = state;
  for (const { name, address } of to) {
    if (known.has(address.toLowerCase())) continue;
    known.add(address.toLowerCase());
    next = addHeld(STAND_INS.mail, next, { name: name || nameIn(address), phones: [], mails: [address] });
  }
  if (next !== state) await keepStandIn(db, 'mail', next);
}
