/** @jest-environment node */
import PostalMime from 'postal-mime';

import { writeMessage } from '@/core/write';
import { generateMail, generateStrangersMail, OWN_ADDRESS } from '@/demo';
import { addStandIn, findStandIn, keepStandIn } from '@/hub/standins';
import { lastMail } from '@/hub/store';
import { startTestHub, type TestHub } from '@/hub/testing';

import { deliverMail } from './deliverMail';
import { listMails, MailFault, newMail, openMail, readMail, sendMails } from './mailbox';
import { nameIn, repliesTo } from './replies';
import { stageMails } from './stageMails';

let hub: TestHub;
const START = Date.parse('2026-11-26T10:00:00Z');
const MINUTES = 60_000;

beforeEach(async () => {
  hub = await startTestHub();
  await addStandIn(hub.db, 'mail');
});
afterEach(() => hub.stop());

const mailTo = (addresses: readonly string[], id = 'one', more: { bcc?: string; body?: string } = {}) =>
  writeMessage(
    {
      to: addresses.map((address) => ({ name: 'Ada Lowther', address })),
      cc: [],
      bcc: more.bcc === undefined ? [] : [{ name: '', address: more.bcc }],
      ...{ subject: 'Rehearsal – Freitag', body: more.body ?? 'Come at ten.\nFrom the side door.' },
    },
    {
      from: { name: 'Me', address: 'me@example.org' },
      date: 'Thu, 26 Nov 2026 10:00:00 +0000',
      messageId: `${id}@cordialis.example`,
    },
  );
const boxes = async () => (await listMails(hub.db)).map(({ box }) => box).sort();

test('a message waits in the outbox, is sent at its turn, and goes nowhere while the mail client is offline', async () => {
  expect(await sendMails(hub.db, [mailTo(['no-reply@example.org'])], START)).toBe(1);
  expect(await boxes()).toEqual(['outbox']);
  await deliverMail(hub.db, START);
  expect(await boxes()).toEqual(['outbox']);
  const state = await findStandIn(hub.db, 'mail');
  if (state) await keepStandIn(hub.db, 'mail', { ...state, isOffline: true });
  await deliverMail(hub.db, START + MINUTES);
  expect(await boxes()).toEqual(['outbox']);
  if (state) await keepStandIn(hub.db, 'mail', state);
  await deliverMail(hub.db, START + MINUTES);
  expect(await boxes()).toEqual(['sent']);
});

test('the mail client makes a card of whoever it wrote to, once, by the name in the message', async () => {
  await sendMails(
    hub.db,
    [
      mailTo(['ada@example.org']),
      mailTo(['ADA@example.org', 'bo.ek@example.org'], 'two', { bcc: 'cara@example.org' }),
    ],
    START,
  );
  await deliverMail(hub.db, START + MINUTES);
  const cards = Object.values((await findStandIn(hub.db, 'mail'))?.cards ?? {});
  expect(cards.map(({ card }) => card.name?.full).sort()).toEqual(['Ada Lowther', 'Ada Lowther', 'Cara']);
  expect(cards.every(({ state }) => state === 'new')).toBe(true);
});

test('answers come later, thread by their subject, and are told as new after what was sent', async () => {
  const people = Array.from({ length: 20 }, (_, i) => `person${i}@example.org`);
  await sendMails(hub.db, [mailTo(people)], START);
  await deliverMail(hub.db, START + 5_000);
  expect(await boxes()).toEqual(['sent']);
  const sent = await lastMail(hub.db);
  await deliverMail(hub.db, START + 10 * MINUTES);
  const answers = (await listMails(hub.db)).filter(({ box }) => box === 'inbox');
  expect(answers.length).toBeGreaterThan(4);
  expect(answers.length).toBeLessThan(20);
  expect(new Set(answers.map(({ subject }) => subject))).toEqual(new Set(['Re: Rehearsal – Freitag']));
  expect(answers.every(({ isRead }) => !isRead)).toBe(true);
  const { mbox, last } = await newMail(hub.db, sent);
  expect(mbox.match(/^From \S+ /gm)).toHaveLength(answers.length);
  expect(last).toBe(await lastMail(hub.db));
  expect(await newMail(hub.db, last)).toEqual({ mbox: '', last });
});

test('a message is read as it was written, and from then on it has been read', async () => {
  await sendMails(hub.db, [mailTo(['no-reply@example.org'])], START);
  await deliverMail(hub.db, START + MINUTES);
  const id = await lastMail(hub.db);
  expect(await openMail(hub.db, id)).toMatchObject({
    ...{ subject: 'Rehearsal – Freitag', text: 'Come at ten.\nFrom the side door.', box: 'sent' },
    from: { name: 'Me', address: 'me@example.org' },
  });
  expect(await openMail(hub.db, 999)).toBeUndefined();
  // RFC 4155: a line that begins like the next message is quoted.
  expect((await newMail(hub.db, 0)).mbox).toContain('>From the side door.');
});

test.each([
  ['nobody it is from', 'To: ada@example.org\r\nSubject: x\r\n\r\nx', 'whom it is from'],
  ['nobody it goes to', 'From: me@example.org\r\nSubject: x\r\n\r\nx', 'goes to somebody'],
])('a message with %s is refused, and none of those with it is kept', async (_, message, words) => {
  const sending = sendMails(hub.db, [mailTo(['ada@example.org']), message], START);
  await expect(sending).rejects.toThrow(MailFault);
  await expect(sending).rejects.toThrow(words);
  expect(await listMails(hub.db)).toEqual([]);
});

test('the same message has the same answers; machines don’t answer, nor does anybody for ever', async () => {
  const read = await readMail(mailTo(['ada@example.org', 'bo@example.org', 'noreply@example.org'], 'x7'));
  const from = read.from ?? { name: '', address: '' };
  const date = () => 'Thu, 26 Nov 2026 10:00:30 +0000';
  const all = Array.from({ length: 30 }, (_, i) => repliesTo({ ...read, from, messageId: `m${i}` }, date));
  expect(repliesTo({ ...read, from, messageId: 'm1' }, date)).toEqual(all[1]);
  expect(all.flat().some(({ from: by }) => by.address.startsWith('noreply'))).toBe(false);
  expect(repliesTo({ ...read, from, subject: 'Re: Re: x' }, date)).toEqual([]);
  const parsed = await PostalMime.parse(all.flat()[0]?.message ?? '');
  expect(parsed.to?.[0]?.address).toBe('me@example.org');
  expect(parsed.text).toContain('> Come at ten.');
});

test('a mailbox file fills an empty mailbox, what was sent by its owner under what was sent', async () => {
  const mbox = `${generateMail('2026-11-26')}\n${generateStrangersMail('2026-11-26')}`;
  await stageMails(hub.db, mbox, OWN_ADDRESS);
  const mails = await listMails(hub.db);
  expect(mails).toHaveLength(mbox.match(/^From \S+ /gm)?.length ?? 0);
  expect(mails.filter(({ box }) => box === 'sent').every(({ from }) => from.address === OWN_ADDRESS)).toBe(
    true,
  );
  expect(mails.find(({ from }) => from.name === 'Ffion Cadwal')).toMatchObject({ box: 'inbox' });
  await stageMails(hub.db, mbox, OWN_ADDRESS);
  expect(await listMails(hub.db)).toHaveLength(mails.length);
});

test('a name is read out of an address', () => {
  expect(['ada.lowther@x.example', 'bo@x.example', 'cara_quist-ek@x.example'].map(nameIn)).toEqual([
    'Ada Lowther',
    'Bo',
    'Cara Quist Ek',
  ]);
});
