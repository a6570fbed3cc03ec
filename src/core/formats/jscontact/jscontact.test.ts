import { encodeUtf8 } from '@/core/base';
import { type Card, newCard } from '@/core/card';

import { jscontact } from './jscontactFormat';

const written = (card: Card) => JSON.parse(jscontact.write([card])) as readonly Record<string, unknown>[];
const ADA: Card = {
  ...newCard('ada', '2026-01-01T00:00:00Z'),
  name: {
    components: [
      { kind: 'given', value: 'Ada' },
      { kind: 'surname', value: 'Lowther' },
    ],
  },
};

test('a name in parts goes out as a whole too, and comes back in parts alone (RFC 9553 §2.2.1)', () => {
  const [card] = written(ADA);
  expect(card?.['name']).toMatchObject({ full: 'Ada Lowther' });
  expect(jscontact.read(encodeUtf8(JSON.stringify([card]))).cards).toEqual([ADA]);
});

test('a part that somebody has changed meanwhile doesn’t take the whole with it', () => {
  const [card] = written(ADA);
  const text = JSON.stringify([card]).replace('"full":"Ada Lowther"', '"full":"Ada M. Lowther"');
  expect(jscontact.read(encodeUtf8(text)).cards[0]?.name?.full).toBe('Ada M. Lowther');
});

test('members go out on groups only (RFC 9553 §2.1.6), and none is lost', () => {
  const card: Card = { ...ADA, kind: 'individual', members: { bo: true } };
  expect(written(card)[0]).not.toHaveProperty('members');
  expect(written({ ...card, kind: 'group' })[0]).toHaveProperty('members');
  expect(jscontact.read(encodeUtf8(jscontact.write([card]))).cards).toEqual([card]);
});
