import { undo } from '@/book/commit';
import { importCards } from '@/book/formats';
import { selectCardsByUid } from '@/book/state';
import { openTestBook } from '@/book/testing';
import { type Card, newCard, parseName } from '@/core/card';
import type { ToSettle } from '@/core/sync';

import { numbered } from '../../../test/unit/numbered';
import { canKeepBoth, type Choice, settleValue } from './settleValue';

const ADA: Card = {
  ...newCard('ada', '2026-01-01T00:00:00Z'),
  ...{ kind: 'individual', name: parseName('Ada Lowther') ?? {} },
  emails: { e1: { address: 'mine@example.org', contexts: { work: true } } },
};
const VALUE: ToSettle = {
  ...{ id: 1, uid: 'ada', path: 'emails/e1/address', mine: 'mine@example.org', theirs: 'theirs@example.org' },
  ...{ mineBy: 'Computer', mineAt: '2026-11-26T10:00:00Z' },
  ...{ theirsBy: 'Phone', theirsAt: '2026-11-26T11:00:00Z' },
};

async function settle(value: ToSettle, choice: Choice, start = ADA) {
  const { store } = openTestBook();
  await store.dispatch(importCards([start], 'a file'));
  await store.dispatch(settleValue(value, choice));
  const emails = () => selectCardsByUid(store.getState()).get('ada')?.emails;
  return { store, emails };
}

const work = (address: string) => ({ address, contexts: { work: true as const } });
const cases: readonly { name: string; choice: Choice; emails: Card['emails'] }[] = [
  { name: 'keeping this leaves it', choice: { kind: 'mine' }, emails: ADA.emails },
  {
    name: 'taking that puts it in its place',
    choice: { kind: 'theirs' },
    emails: { e1: work('theirs@example.org') },
  },
  {
    name: 'keeping both makes a second entry with the same labels',
    choice: { kind: 'both' },
    emails: { e1: work('mine@example.org'), e2: work('theirs@example.org') },
  },
  {
    name: 'a third value takes the place of both',
    choice: { kind: 'other', text: 'third@example.org' },
    emails: { e1: work('third@example.org') },
  },
];
for (const { name, choice, emails } of cases)
  test(`${name}, and can be taken back`, async () => {
    const settled = await settle(VALUE, choice);
    expect(numbered({ emails: settled.emails() ?? {} }).emails).toEqual(emails);
    if (choice.kind === 'mine') return;
    await settled.store.dispatch(undo());
    expect(settled.emails()).toEqual(ADA.emails);
  });

test('a value that would make the card none is left alone, and an entry that has gone gets none', async () => {
  const odd = await settle({ ...VALUE, theirs: 12 }, { kind: 'theirs' });
  expect(odd.emails()).toEqual(ADA.emails);
  const { emails: _, ...bare } = ADA;
  expect((await settle(VALUE, { kind: 'theirs' }, bare)).emails()).toBeUndefined();
});

test('both can be kept of an entry, not of a name', () => {
  expect(canKeepBoth(VALUE)).toBe(true);
  expect(canKeepBoth({ ...VALUE, path: 'name/full' })).toBe(false);
});
