import { encodeUtf8 } from '@/core/base';
import { type Card, newCard } from '@/core/card';
import { vcard3, vcard4 } from '@/core/formats/vcard/vcardFormats';

import { deviceChange, type Keeps, noteKeeps } from './deviceChange';

const CARD: Card = {
  ...newCard('urn:uuid:00000000-0000-4000-8000-000000000001', '2026-01-01T00:00:00Z'),
  kind: 'individual',
  name: {
    components: [
      { kind: 'given', value: 'Ada' },
      { kind: 'surname', value: 'Lowther' },
    ],
    isOrdered: true,
  },
  phones: {
    p1: { number: '+442079460123', contexts: { work: true }, features: { voice: true } },
    p2: { number: '+447700900456', features: { mobile: true } },
  },
  emails: {
    e1: { address: 'ada@example.org' },
    e2: { address: 'ada@work.example', contexts: { work: true } },
  },
  notes: { o1: { note: 'Sings alto.' } },
  keywords: { choir: true },
  'cordialis.example:opener': 'The new organ?',
};

/** A card as a device gets it and sends it back. */
const through = (card: Card, format = vcard3): Card => {
  const [read] = format.read(encodeUtf8(format.write([card], { extensions: false }))).cards;
  if (!read) throw new Error('nothing came back');
  return read;
};
const change = (sent: Card, keeps: Keeps = {}, format = vcard3) =>
  deviceChange({ known: CARD, served: through(CARD, format), sent, keeps, country: 'GB' });

for (const format of [vcard3, vcard4])
  test(`a card that comes back as it was served has not changed (${format.id})`, () => {
    expect(change(through(CARD, format), {}, format)).toEqual(CARD);
  });

test('numbers written as at home, another order and other line ends are no change', () => {
  const sent = through(CARD);
  const [first, second] = Object.values(sent.phones ?? {});
  const phones = { p1: { ...second, number: '07700 900 456' }, p2: { ...first, number: '020 7946 0123' } };
  const notes = { o1: { note: 'Sings alto.\r\n' } };
  expect(change({ ...sent, phones, notes } as Card)).toEqual(CARD);
});

test('an edit arrives, on the entry that it is of, with all that the device doesn’t know of it', () => {
  const sent = through(CARD);
  const emails = Object.fromEntries(
    Object.entries(sent.emails ?? {}).map(([id, entry]) => [
      id,
      entry.address === 'ada@work.example' ? { ...entry, address: 'ada@new.example' } : entry,
    ]),
  );
  expect(change({ ...sent, emails })).toEqual({
    ...CARD,
    emails: {
      e1: { address: 'ada@example.org' },
      e2: { address: 'ada@new.example', contexts: { work: true } },
    },
  });
});

test('what is missing stays, until the device has been seen to keep such things', () => {
  const { notes: _, keywords: __, ...sent } = through(CARD);
  const one = { ...sent, phones: { p1: Object.values(sent.phones ?? {})[0] } } as Card;
  expect(change(one)).toEqual(CARD);
  const keeps = noteKeeps({}, through(CARD));
  const { notes: ___, keywords: ____, ...left } = CARD;
  expect(change(one, keeps)).toEqual({ ...left, phones: { p1: CARD.phones?.['p1'] } });
  // A device that holds one number only has never been seen to keep two.
  expect(change(one, noteKeeps({}, one)).phones).toEqual(CARD.phones);
});

test('a new surname and a name that is shorter arrive', () => {
  const name = (components: [string, string][]) => ({
    ...through(CARD),
    name: {
      components: components.map(([kind, value]) => ({ kind, value })),
      full: components.map(([, value]) => value).join(' '),
    },
  });
  expect(
    change(
      name([
        ['given', 'Ada'],
        ['surname', 'Ek'],
      ]),
    ).name?.components,
  ).toEqual([
    { kind: 'given', value: 'Ada' },
    { kind: 'surname', value: 'Ek' },
  ]);
  expect(change(name([['given', 'Ada']])).name?.components).toEqual([{ kind: 'given', value: 'Ada' }]);
});

test('a number more is one more', () => {
  const sent = through(CARD);
  const phones = { ...sent.phones, p9: { number: '+442079460999' } };
  expect(Object.values(change({ ...sent, phones }).phones ?? {})).toEqual([
    ...Object.values(CARD.phones ?? {}),
    { number: '+442079460999' },
  ]);
});
