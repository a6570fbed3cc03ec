/** @jest-environment node */
import { type Card, diffJson, newCard, parseName } from '@/core/card';
import { generateBook } from '@/demo';
import { stageDemo } from '@/hub/stageDemo';
import { allCards, findCard, type HubDb, lastSeq, putCard } from '@/hub/store';
import { listDevices, previewSync } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

import { addHeld, duplicateHeld, editHeld, removeHeld } from './editHeld';
import { STAND_INS } from './kinds';
import type { StandInKind, StandInState } from './standIn';
import { addStandIn, findStandIn, keepStandIn } from './standInStore';
import { visitNow } from './visitNow';

const NOW = TEST_NOW;
let hub: TestHub;
let db: HubDb;
let base = '';

beforeEach(async () => {
  hub = await startTestHub();
  ({ db, base } = hub);
});
afterEach(() => hub.stop());

const ADA: Card = {
  ...newCard('urn:uuid:00000000-0000-4000-8000-000000000001', NOW),
  ...{ kind: 'individual', name: parseName('Ada Lowther') ?? {} },
  phones: {
    p1: { number: '+442079460123', contexts: { work: true } },
    p2: { number: '+447700900456', features: { mobile: true }, label: 'the old one' },
  },
  emails: { e1: { address: 'ada@example.org', contexts: { private: true } } },
  keywords: { choir: true },
  anniversaries: { a1: { kind: 'birth', date: { '@type': 'PartialDate', month: 3, day: 4 } } },
  'cordialis.example:opener': 'The new organ?',
};
const put = (card: Card) => putCard(db, card.uid, card, { at: NOW, device: null, says: 'put' });
const state = async (kind: StandInKind): Promise<StandInState> => {
  const known = await findStandIn(db, kind);
  if (!known) throw new Error('not in use');
  return known;
};
const held = async (kind: StandInKind) => Object.values((await state(kind)).cards);
const type = async (kind: StandInKind, to: (now: StandInState) => StandInState) =>
  keepStandIn(db, kind, to(await state(kind)));
const visit = (kind: StandInKind) => visitNow(db, kind, base);

for (const kind of ['phone', 'mail', 'computer'] as const)
  test(`a book goes to the ${kind} and comes back unchanged, whatever it can’t hold`, async () => {
    const cards = generateBook('2026-11-26').filter((card) => card['cordialis.example:private'] !== true);
    for (const card of cards) await put(card);
    await addStandIn(db, kind);
    await visit(kind);
    const before = new Map((await allCards(db)).map((card) => [card.uid, card]));
    const seq = await lastSeq(db);
    // Everything is sent back as the device writes it: nothing of it is a change.
    await type(kind, (now) => ({
      ...now,
      cards: Object.fromEntries(
        Object.entries(now.cards).map(([uid, one]) => [uid, { ...one, state: 'changed' as const }]),
      ),
    }));
    const { sent } = await visit(kind);
    expect(sent.length).toBeGreaterThan(200);
    const edits = (await allCards(db)).flatMap((card) => diffJson(before.get(card.uid) ?? {}, card));
    expect(edits).toEqual([]);
    expect(await lastSeq(db)).toBe(seq);
  });

test('the phone shows numbers in the style of the country, and an edit there changes that number alone', async () => {
  await put(ADA);
  await addStandIn(db, 'phone');
  await visit('phone');
  const [card] = await held('phone');
  expect(Object.values(card?.card.phones ?? {}).map(({ number }) => number)).toEqual([
    '020 7946 0123',
    '07700 900456',
  ]);
  await type('phone', (now) =>
    editHeld(STAND_INS.phone, now, ADA.uid, {
      ...{ name: 'Ada Lowther', mails: ['ada@example.org'] },
      phones: ['020 7946 0123', '07700 900999'],
    }),
  );
  await visit('phone');
  const after = await findCard(db, ADA.uid);
  expect(after).toMatchObject({
    ...{ keywords: { choir: true }, anniversaries: ADA.anniversaries, emails: ADA.emails },
    phones: { p1: ADA.phones?.['p1'], p2: { label: 'the old one', features: { mobile: true } } },
    'cordialis.example:opener': 'The new organ?',
  });
  expect(after?.phones?.['p2']?.number.replace(/\D/g, '')).toMatch(/7700900999$/);
});

test('what was changed on an offline device while the hub changed something else is both there afterwards', async () => {
  await put(ADA);
  await addStandIn(db, 'phone');
  await visit('phone');
  await type('phone', (now) => ({ ...now, isOffline: true }));
  await expect(visit('phone')).rejects.toThrow('the phone is offline');
  await type('phone', (now) =>
    editHeld(STAND_INS.phone, now, ADA.uid, {
      ...{ name: 'Ada Lowther-Ek', mails: ['ada@example.org'] },
      phones: ['020 7946 0123', '07700 900456'],
    }),
  );
  await put({ ...ADA, emails: { e1: { address: 'ada@new.example', contexts: { private: true } } } });
  await type('phone', (now) => ({ ...now, isOffline: false }));
  const [device] = await listDevices(db);
  const ahead = { added: [], changed: ['Ada Lowther'], removed: [] };
  expect(device && (await previewSync(db, device))).toEqual(ahead);
  await visit('phone');
  const after = await findCard(db, ADA.uid);
  expect(after?.emails?.['e1']?.address).toBe('ada@new.example');
  expect(after?.name?.components?.map(({ value }) => value)).toEqual(['Ada', 'Lowther-Ek']);
  const [card] = await held('phone');
  expect(card?.card.emails?.['e1']?.address).toBe('ada@new.example');
});

test('a card that the mail client makes of somebody known is theirs, not a second one', async () => {
  await put(ADA);
  await addStandIn(db, 'mail');
  await visit('mail');
  const fresh = { name: 'Ada Lowther', phones: [], mails: ['ada@example.org'] };
  await type('mail', (now) => addHeld(STAND_INS.mail, now, fresh));
  await type('mail', (now) =>
    addHeld(STAND_INS.mail, now, { name: 'Wren Castell', phones: [], mails: ['wren@example.org'] }),
  );
  await visit('mail');
  expect((await allCards(db)).map(({ name }) => name?.full ?? name?.components?.[0]?.value).length).toBe(2);
  // The second one goes from the device with its next visit.
  await visit('mail');
  expect((await held('mail')).map(({ card }) => card.name?.full).toSorted()).toEqual([
    'Ada Lowther',
    'Wren Castell',
  ]);
});

test('a card duplicated on the computer under another uid does not come twice; one deleted there is deleted', async () => {
  await put(ADA);
  await addStandIn(db, 'computer');
  await visit('computer');
  await type('computer', (now) => duplicateHeld(now, ADA.uid));
  await visit('computer');
  expect(await allCards(db)).toHaveLength(1);
  await visit('computer');
  expect(await held('computer')).toHaveLength(1);
  await type('computer', (now) => removeHeld(now, Object.keys(now.cards)[0] ?? ''));
  await visit('computer');
  expect(await allCards(db)).toEqual([]);
});

test('lists go to the computer as groups, and a member taken off there is off', async () => {
  const bo: Card = {
    ...newCard('urn:uuid:00000000-0000-4000-8000-000000000002', NOW),
    name: { full: 'Bo Ek' },
  };
  const list: Card = {
    ...newCard('urn:uuid:00000000-0000-4000-8000-000000000003', NOW),
    ...{ kind: 'group', name: { full: 'Choir' }, members: { [ADA.uid]: true, [bo.uid]: true } },
  };
  for (const card of [ADA, bo, list]) await put(card);
  for (const kind of ['computer', 'phone'] as const) {
    await addStandIn(db, kind);
    await visit(kind);
  }
  expect(await held('phone')).toHaveLength(2);
  await type('computer', (now) => {
    const group = now.cards[list.uid];
    if (!group) throw new Error('the list is not there');
    const card: Card = { ...group.card, members: { [bo.uid]: true } };
    return { ...now, cards: { ...now.cards, [list.uid]: { ...group, card, state: 'changed' } } };
  });
  await visit('computer');
  expect((await findCard(db, list.uid))?.members).toEqual({ [bo.uid]: true });
});

test('the demo begins with three devices that have been here, and one value to settle', async () => {
  for (const card of generateBook('2026-11-26')) await put(card);
  await stageDemo(db, base, '2026-11-26');
  const values = await db.selectFrom('settle').selectAll().execute();
  expect(values).toMatchObject([{ mineBy: 'Computer', theirsBy: 'Phone' }]);
  expect(values[0]?.path).toMatch(/^emails\/\w+\/address$/);
});
