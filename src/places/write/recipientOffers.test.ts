import type { Hit } from '@/core/find';

import { recipientOffers } from './recipientOffers';

const hit = (uid: string, some: Partial<Hit> = {}): Hit => ({
  ...{ uid, kind: 'person', shown: uid, score: 1, field: 'name', value: '' },
  ...some,
});
const stranger = { address: 'cleo@example.org', name: 'Cleo Ray', count: 3, last: '2026-01-01' };
const listed = [
  { uid: 'd', name: 'Dana Moss', initials: 'DM', isOrg: false, address: 'dana@example.org', house: '' },
];

/** What is offered for a text, and what Enter would take of it. */
function offered(typed: string, found: readonly Hit[]) {
  const add = jest.fn();
  const acts = { add, addTagged: jest.fn(), addFound: jest.fn() };
  const tags = [{ tag: 'choir', count: 9 }];
  const offers = recipientOffers({ typed, found, listed, tags, unfiled: [stranger] as never }, acts);
  const sure = offers.find(({ isSure }) => isSure);
  sure?.onPress();
  return { keys: offers.map(({ key }) => key), sure: sure?.key, added: add.mock.calls.flat() as unknown[] };
}

test('Enter takes whom the text names, and nobody who is merely written alike', () => {
  expect(offered('ada', [hit('ada'), hit('adam')])).toMatchObject({
    sure: 'ada',
    added: [{ kind: 'card', uid: 'ada' }],
  });
  expect(offered('pat', [hit('patrons', { kind: 'list' })]).added).toEqual([
    { kind: 'list', uid: 'patrons' },
  ]);
  expect(offered('adaa', [hit('ada', { isNear: true })]).sure).toBe('directory d');
});

test('an address means whoever has just that one, or else itself', () => {
  const alike = hit('bob', { field: 'mail', value: 'bob@example.org', isNear: true });
  expect(offered('Bo Ek <bo@example.org>', [alike]).added).toEqual([
    { kind: 'address', address: 'bo@example.org', name: 'Bo Ek' },
  ]);
  const same = hit('bo', { field: 'mail', value: 'Bo@example.org' });
  expect(offered('bo@example.org', [alike, same]).added).toEqual([{ kind: 'card', uid: 'bo' }]);
});

test('everybody found and everybody tagged are offered; Enter takes a tag only where it is written whole, as one', () => {
  expect(offered('ch', [hit('a'), hit('b')]).keys).toEqual([
    'a',
    'b',
    'everybody',
    'tag choir',
    'directory d',
  ]);
  expect(offered('#choi', []).sure).toBe('directory d');
  expect(offered('#choir', []).sure).toBe('tag choir');
});

test('whoever has no card is offered by name and by address', () => {
  expect(offered('cleo', []).keys).toEqual(['directory d', 'unfiled cleo@example.org']);
});
