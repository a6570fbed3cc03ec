import fc from 'fast-check';

import { type Card, formatName, newCard, parseName } from '@/core/card';
import { generateBook, generateLargeBook } from '@/demo';

import { dismissFault, fixCard, isStillWrong } from './fault';
import { FaultFinder } from './faultFinder';

const OPTIONS = { country: 'GB', today: '2026-11-26' };
const card = (some: Partial<Card>): Card => ({
  ...newCard('x', '2026-01-01T00:00:00Z'),
  name: parseName('Ada Lowther') ?? {},
  ...some,
});
const phone = (number: string, more: Partial<Card> = {}) => card({ phones: { p1: { number } }, ...more });
const mail = (address: string) => card({ emails: { e1: { address } } });
const day = (kind: string, date: object) =>
  card({
    emails: { e1: { address: 'a@b.example' } },
    anniversaries: { d1: { kind, date } },
  } as Partial<Card>);
const find = (...cards: Card[]) => {
  const finder = new FaultFinder(OPTIONS);
  return [...cards.flatMap((one) => finder.add(one)), ...finder.across()];
};
const german = {
  addresses: { a1: { countryCode: 'DE', components: [{ kind: 'locality', value: 'Kiel' }] } },
};

// Lengths by E.164 and the numbering plans of libphonenumber; mail by RFC 5321 §4.1.2.
const cases: readonly { name: string; card: Card; found: readonly string[]; mended?: string }[] = [
  { name: 'a number in full', card: phone('+44 20 7946 0123'), found: [] },
  { name: 'a number of a range kept for fiction', card: phone('+44 1632 960123'), found: [] },
  { name: 'a number that is too short for its country', card: phone('+44 20 7946'), found: ['undialable'] },
  {
    name: 'a number that is too long for any country',
    card: phone('+44 20 7946 0123 4567 890'),
    found: ['undialable'],
  },
  { name: 'a word', card: phone('ask Ben'), found: ['undialable'] },
  { name: 'an extension', card: phone('1234'), found: [] },
  {
    name: 'a number as at home, with the country in the address',
    card: phone('0431 5550 123', german),
    found: ['no-country-code'],
    mended: '+49 431 5550123',
  },
  {
    name: 'a number as at home',
    card: phone('020 7946 0123'),
    found: ['no-country-code'],
    mended: '+44 20 7946 0123',
  },
  { name: 'a mail address', card: mail('ada.l+post@mail.example.org'), found: [] },
  { name: 'a mail address in Japanese (RFC 6531)', card: mail('山田@例え.jp'), found: [] },
  { name: 'two @', card: mail('ada@@example.org'), found: ['bad-mail'] },
  { name: 'no domain', card: mail('ada@example'), found: ['bad-mail'] },
  {
    name: 'what stands around an address',
    card: mail(' <mailto:ada@example.org>, '),
    found: ['bad-mail'],
    mended: 'ada@example.org',
  },
  {
    name: 'a comma before the end',
    card: mail('ada@example,org'),
    found: ['bad-mail'],
    mended: 'ada@example.org',
  },
  { name: '31 April', card: day('birth', { month: 4, day: 31 }), found: ['impossible-date'] },
  {
    name: '29 February 1900',
    card: day('birth', { year: 1900, month: 2, day: 29 }),
    found: ['impossible-date'],
  },
  { name: '29 February without a year', card: day('birth', { month: 2, day: 29 }), found: [] },
  {
    name: 'a birthday to come',
    card: day('birth', { year: 2027, month: 1, day: 1 }),
    found: ['impossible-date'],
  },
  { name: 'a wedding to come', card: day('wedding', { year: 2027, month: 1, day: 1 }), found: [] },
  { name: 'an age of 140', card: day('birth', { year: 1886, month: 1, day: 1 }), found: ['impossible-date'] },
  { name: 'nobody to reach', card: card({}), found: ['unreachable'] },
  { name: 'an empty card', card: newCard('x', '2026-01-01T00:00:00Z'), found: ['empty'] },
  {
    name: 'a number twice',
    card: card({ phones: { p1: { number: '+442079460123' }, p2: { number: '+44 20 7946 0123' } } }),
    found: ['twice'],
  },
];
for (const { name, card: one, found, mended } of cases)
  test(`${name}: ${found.join(', ') || 'no fault'}`, () => {
    const faults = find(one);
    expect(faults.map(({ code }) => code)).toEqual(found);
    if (mended !== undefined) expect(faults[0]?.mend?.shown).toBe(mended);
  });

test('names in capitals, in small letters, and with a title among the given names are put right', () => {
  const reach = { emails: { e1: { address: 'a@b.example' } } };
  const named = (...components: [string, string][]) =>
    card({
      ...reach,
      name: { components: components.map(([kind, value]) => ({ kind, value })), isOrdered: true },
    });
  const mend = (one: Card) => {
    let now = one;
    for (let i = 0; i < 3; i += 1) now = fixCard(now, find(now));
    return now.name ? formatName(now.name) : '';
  };
  expect(mend(named(['given', 'ADA'], ['surname', 'VAN DER BERG']))).toBe('Ada van der Berg');
  expect(mend(named(['given', 'ada'], ['surname', 'lowther-smith']))).toBe('Ada Lowther-Smith');
  expect(mend(named(['given', 'Dr. Ada'], ['surname', 'Lowther']))).toBe('Dr. Ada Lowther');
  expect(mend(named(['given', 'DR. ADA'], ['surname', 'LOWTHER']))).toBe('DR. Ada Lowther');
  expect(find(named(['given', 'Ada'], ['surname', 'McDonald']))).toEqual([]);
  expect(find(named(['surname', '山田'], ['given', '太郎']))).toEqual([]);
});

test('an organisation that is written in several ways is put as on its own card, else as most often', () => {
  const reach = { emails: { e1: { address: 'a@b.example' } } };
  const at = (uid: string, name: string) => card({ uid, ...reach, organizations: { g1: { name } } });
  const own: Card = {
    ...card({ uid: 'org', ...reach }),
    kind: 'org',
    name: { full: 'Kwint & Partners Ltd' },
  };
  const people = [
    at('a', 'Kwint & Partners'),
    at('b', 'kwint and partners ltd.'),
    at('c', 'Kwint & Partners Ltd'),
  ];
  const faults = find(own, ...people);
  expect(faults.map(({ uid, code, mend }) => [uid, code, mend?.shown, mend?.isSure])).toEqual([
    ['a', 'spelt-differently', 'Kwint & Partners Ltd', true],
    ['b', 'spelt-differently', 'Kwint & Partners Ltd', true],
  ]);
  expect(
    find(at('a', 'Blue'), at('b', 'Blue GmbH'), at('c', 'Blue')).map(({ uid, mend }) => [uid, mend?.shown]),
  ).toEqual([['b', 'Blue']]);
});

test('what is mended is no longer found, nothing else changes, and it fits only the card as it was', () => {
  const book = [...generateBook('2026-11-26'), ...generateLargeBook(300, 7)];
  const byUid = new Map(book.map((one) => [one.uid, one]));
  const faults = find(...book);
  expect(faults.length).toBeGreaterThan(5);
  for (const fault of faults) {
    const before = byUid.get(fault.uid);
    expect(isStillWrong(before, fault)).toBe(true);
    if (!before || !fault.mend?.edits) continue;
    const after = fixCard(before, [fault]);
    expect(isStillWrong(after, fault)).toBe(false);
    const { updated: _, ...rest } = after;
    expect(Object.keys(rest).sort()).toEqual(
      Object.keys(before)
        .filter((key) => key !== 'updated')
        .sort(),
    );
    expect(fixCard(after, [fault])).toEqual(after);
  }
});

test('whatever stands there, finding ends and mending never throws', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (text) => {
      const one = card({ phones: { p1: { number: text } }, emails: { e1: { address: text } } });
      for (const fault of find(one)) expect(fixCard(one, [fault]).uid).toBe('x');
    }),
  );
});

test('what is right as it is stays unnamed until another value stands there', () => {
  const wrong = card({ emails: { e1: { address: 'nowhere@' } }, notes: {} });
  const faults = find(wrong);
  const left = dismissFault(wrong, faults);
  expect(faults.length).toBeGreaterThan(0);
  expect(find(left)).toEqual([]);
  for (const fault of faults) expect(isStillWrong(left, fault)).toBe(false);
  // By its value: it may move to another place, but another one is looked at anew.
  expect(find({ ...left, emails: { e7: { address: 'nowhere@' } } })).toEqual([]);
  expect(find({ ...left, emails: { e1: { address: 'elsewhere@' } } }).map(({ shown }) => shown)).toContain(
    'elsewhere@',
  );
});
