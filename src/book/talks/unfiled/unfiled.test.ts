import { undo } from '@/book/commit';
import { putTalks } from '@/book/commit/changeTalks';
import { selectCardsByUid, selectSummaries } from '@/book/state';
import { KEYS } from '@/book/store';
import { openTestBook } from '@/book/testing';
import type { Unfiled } from '@/core/talks';

import { addressBook, addUnfiled, dismissUnfiled, putUnfiled } from './changeUnfiled';

const unfiled = (address: string, name: string): Unfiled => ({
  ...{ address, name, count: 2, last: '2026-11-02' },
  talks: [
    { id: address, kind: 'mail', day: '2026-11-02', direction: 'out', with: [], said: '', about: 'Fee' },
  ],
});

test('taking in makes a card named as the header named it, with its talks; undo takes both away', async () => {
  const { store } = openTestBook();
  const change = await store.dispatch(
    addUnfiled([unfiled('j.q@example.org', 'Quennell, Jory'), unfiled('box@example.org', '')]),
  );
  await store.dispatch(putTalks([]));
  const cards = [...selectCardsByUid(store.getState()).values()];
  // The one with a name first.
  cards.sort((a, b) => Number(b.name !== undefined) - Number(a.name !== undefined));
  expect(cards.map(({ name, emails }) => [name?.full ?? name?.components?.length, emails])).toEqual([
    [2, { e1: { address: 'j.q@example.org' } }],
    [undefined, { e1: { address: 'box@example.org' } }],
  ]);
  const uid = cards[0]?.uid ?? '';
  expect(cards[0]?.name?.components?.map(({ value }) => value)).toEqual(['Jory', 'Quennell']);
  expect(selectSummaries(store.getState()).get(uid)?.count).toBe(1);
  await store.dispatch(undo(change?.id));
  await store.dispatch(putTalks([]));
  expect(selectCardsByUid(store.getState()).values()).toEqual([]);
  expect(selectSummaries(store.getState()).get(uid)).toBeUndefined();
});

test('what another import brings is put together with what is stored; ignoring is remembered', async () => {
  const { store, storage, writer } = openTestBook();
  const read = async () => {
    await writer.flush();
    return JSON.parse((await storage.getItem(`${KEYS.unfiled}a@example.org`)) ?? '') as Unfiled;
  };
  await store.dispatch(putUnfiled([unfiled('a@example.org', '')]));
  await store.dispatch(putUnfiled([{ ...unfiled('a@example.org', 'Ada'), count: 3 }]));
  const one = await read();
  expect([one.name, one.count, one.talks.length]).toEqual(['Ada', 4, 1]);
  store.dispatch(dismissUnfiled([one], true));
  await store.dispatch(putUnfiled([unfiled('a@example.org', '')]));
  expect((await read()).isIgnored).toBe(true);
});

test('whose address one is: without regard to case, of several cards all, of lists none', () => {
  const card = (uid: string, address: string, kind = 'individual') => ({
    ...{ '@type': 'Card' as const, version: '1.0' as const, uid, kind },
    emails: { e1: { address } },
  });
  const book = addressBook([
    card('a', 'Desk@Example.org'),
    card('b', 'desk@example.org '),
    card('l', 'x@y.z', 'group'),
  ]);
  expect([...book]).toEqual([['desk@example.org', ['a', 'b']]]);
});
