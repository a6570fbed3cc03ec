/** @jest-environment node */
import { newCard } from '@/core/card';
import {
  addStandIn,
  editHeld,
  findStandIn,
  keepStandIn,
  removeHeld,
  STAND_INS,
  type StandInState,
  visitNow,
} from '@/hub/standins';
import { allCards, findCard, putCard } from '@/hub/store';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

import { undoSync } from './undoSync';

let hub: TestHub;
beforeEach(async () => {
  hub = await startTestHub();
});
afterEach(() => hub.stop());

const ADA = testPerson('ada', 'Ada Lowther', { emails: { e1: { address: 'ada@example.org' } } });
const BO = testPerson('bo', 'Bo Ek', { emails: { e1: { address: 'bo@example.org' } } });

/** A phone that has both cards, on which something is then done and sent. @returns the sync that brought it */
async function phoneDoes(does: (state: StandInState) => StandInState): Promise<number> {
  for (const card of [ADA, BO])
    await putCard(hub.db, card.uid, card, { at: TEST_NOW, device: null, says: 'put' });
  await addStandIn(hub.db, 'phone');
  await visitNow(hub.db, 'phone', hub.base);
  const state = await findStandIn(hub.db, 'phone');
  if (!state) throw new Error('no phone');
  await keepStandIn(hub.db, 'phone', does(state));
  await visitNow(hub.db, 'phone', hub.base);
  const changes = await hub.db
    .selectFrom('changes')
    .select('sync')
    .where('sync', 'is not', null)
    .orderBy('seq', 'desc')
    .execute();
  return changes[0]?.sync ?? -1;
}
const undo = (sync: number) => undoSync({ db: hub.db, now: TEST_NOW, country: 'GB' }, sync);
const typed = (state: StandInState, name: string, mail: string) =>
  editHeld(STAND_INS.phone, state, 'ada', { name, phones: [], mails: [mail] });

test('what a device changed, brought and deleted is as it was before its sync, here and on the device', async () => {
  const fresh = newCard('fresh', TEST_NOW);
  const sync = await phoneDoes((state) => {
    const changed = removeHeld(typed(state, 'Ada Lowther', 'wrong@example.org'), 'bo');
    const held = { href: 'fresh.vcf', etag: '', card: { ...fresh, name: { full: 'Cara Quist' } } };
    return { ...changed, cards: { ...changed.cards, fresh: { ...held, state: 'new' as const } } };
  });
  expect((await allCards(hub.db)).map(({ uid }) => uid).sort()).toEqual(['ada', 'fresh']);
  expect(await undo(sync)).toEqual({ cards: 3, missed: 0 });
  expect((await allCards(hub.db)).map(({ uid }) => uid).sort()).toEqual(['ada', 'bo']);
  expect((await findCard(hub.db, 'ada'))?.emails).toEqual(ADA.emails);
  await visitNow(hub.db, 'phone', hub.base);
  const mails = Object.values((await findStandIn(hub.db, 'phone'))?.cards ?? {}).flatMap(({ card }) =>
    Object.values(card.emails ?? {}).map(({ address }) => address),
  );
  expect(mails.sort()).toEqual(['ada@example.org', 'bo@example.org']);
});

test('what somebody has changed since stays, and is counted', async () => {
  const sync = await phoneDoes((state) => typed(state, 'Ada Lowther', 'wrong@example.org'));
  const now = await findCard(hub.db, 'ada');
  await putCard(
    hub.db,
    'ada',
    { ...(now ?? ADA), emails: { e1: { address: 'right@example.org' } }, keywords: { choir: true } },
    { at: TEST_NOW, device: null, says: 'edited' },
  );
  expect(await undo(sync)).toEqual({ cards: 0, missed: 1 });
  expect(await findCard(hub.db, 'ada')).toMatchObject({
    emails: { e1: { address: 'right@example.org' } },
    keywords: { choir: true },
  });
});

test('a sync is taken back once; one that isn’t there, not at all', async () => {
  const sync = await phoneDoes((state) => typed(state, 'Ada Lowther', 'wrong@example.org'));
  expect(await undo(sync)).toEqual({ cards: 1, missed: 0 });
  expect(await undo(sync)).toBeUndefined();
  expect(await undo(999)).toBeUndefined();
});
