import { type Card, newCard } from '@/core/card';

import { findRecipients } from './findRecipients';
import { smsNumber, writeSms } from './writeSms';

// RFC 5724 §2.5, examples.
test.each([
  [['+15105550101'], '', 'sms:+15105550101'],
  [['+15105550101', '+15105550102'], '', 'sms:+15105550101,+15105550102'],
  [['+15105550101'], 'hello there', 'sms:+15105550101?body=hello%20there'],
])('an address opens a text message: %s %s', (numbers, text, expected) => {
  expect(writeSms(numbers, text)).toBe(expected);
});

test('what stands between the figures of a number is for the eye (RFC 3966 §5.1.1)', () => {
  expect(writeSms(['tel:+44-7700-900.456', '+44 (0)7700'], '')).toBe('sms:+447700900456,+4407700');
  expect(writeSms(['+1'], 'a\nb & c')).toBe('sms:+1?body=a%0D%0Ab%20%26%20c');
});

const card = (phones: Card['phones']): Card => ({ ...newCard('ada', ''), ...(phones ? { phones } : {}) });
test.each([
  [
    'one that takes texts',
    { p1: { number: '+1', features: { mobile: true } }, p2: { number: '+2', features: { text: true } } },
    '+2',
  ],
  ['a mobile one', { p1: { number: '+1' }, p2: { number: '+2', features: { mobile: true } } }, '+2'],
  [
    'the preferred of two',
    {
      p1: { number: '+1', features: { mobile: true } },
      p2: { number: '+2', features: { mobile: true }, pref: 1 },
    },
    '+2',
  ],
  ['none at home', { p1: { number: '+1', contexts: { private: true } } }, undefined],
] as const)('a text message goes to %s', (_, phones, expected) => {
  expect(smsNumber(card(phones as Card['phones']))).toBe(expected);
});
test('somebody without a card has no number', () => expect(smsNumber(undefined)).toBeUndefined());

test('who isn’t to be written to is left out and named, on a list and by name', () => {
  const mail = { emails: { e1: { address: 'ada@example.org' } } };
  const ada: Card = { ...newCard('ada', ''), ...mail, 'cordialis.example:unwritten': true };
  const list: Card = { ...newCard('l', ''), kind: 'group', members: { ada: true } };
  const found = findRecipients(
    [
      { kind: 'card', uid: 'ada' },
      { kind: 'list', list, members: ['ada'] },
    ],
    (uid) => (uid === 'ada' ? ada : undefined),
  );
  expect(found).toEqual({ people: [], unreachable: [], archived: [], unwritten: ['ada'] });
});
