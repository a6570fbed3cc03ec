import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { cardValues } from './cardValues';
import { reachOf } from './reachOf';
import { safeUri } from './safeUri';
import { unshownValues } from './unshownValues';

const options = { country: 'GB', locale: 'en-GB', today: '2026-11-24' };
const card = (more: Partial<Card>): Card => ({ ...newCard('u', '2026-01-01T00:00:00Z'), ...more });
const group = (label: string, shown: Card) =>
  cardValues(shown, options).find((one) => one.label === label)?.values ?? [];

const uris = [
  { name: 'lets web addresses through', uri: 'https://example.org/a?b#c', safe: true },
  { name: 'lets numbers through', uri: 'tel:+441632960000', safe: true },
  { name: 'refuses scripts', uri: 'javascript:alert(1)', safe: false },
  { name: 'refuses scripts in capitals', uri: ' JavaScript:alert(1)', safe: false },
  {
    name: 'refuses scripts with a tab inside, which browsers drop',
    uri: 'java\tscript:alert(1)',
    safe: false,
  },
  { name: 'refuses data', uri: 'data:text/html,<script>', safe: false },
  { name: 'refuses files', uri: 'file:///etc/passwd', safe: false },
  { name: 'refuses what has no scheme', uri: 'example.org', safe: false },
];
for (const { name, uri, safe } of uris)
  test(`safeUri ${name}`, () => expect(safeUri(uri)).toBe(safe ? uri : undefined));

test('a number of one’s own country is shown as at home and dialled with its country code (RFC 3966)', () => {
  const [value] = group(
    'Phone',
    card({ phones: { p1: { number: '+44 1632 960983', contexts: { work: true }, pref: 1 } } }),
  );
  expect(value).toMatchObject({
    lines: ['01632 960983'],
    second: 'work, preferred',
    uri: 'tel:+441632960983',
    messageUri: 'sms:+441632960983',
  });
});

test('a mail address is encoded as RFC 6068 asks (its example "gorby%kremvax@example.com", §6.1)', () => {
  const [value] = group('Mail', card({ emails: { e1: { address: 'gorby%kremvax@example.com' } } }));
  expect(value?.uri).toBe('mailto:gorby%25kremvax@example.com');
});

test('a link that would run something is shown but can’t be pressed', () => {
  const [value] = group('Web', card({ links: { l1: { uri: 'javascript:alert(1)' } } }));
  expect([value?.lines, value?.uri]).toEqual([['javascript:alert(1)'], undefined]);
});

test('a birthday says the age turned and how many days away, a death says nothing', () => {
  const shown = card({
    anniversaries: {
      d1: { kind: 'birth', date: { year: 1968, month: 2, day: 3 } },
      d2: { kind: 'wedding', date: { year: 1996, month: 11, day: 24 } },
      d3: { kind: 'death', date: { year: 2020, month: 11, day: 25 } },
    },
  });
  // 71 days from 24 November 2026 to 3 February 2027: 6 + 31 + 31 + 3.
  expect(group('Birthday', shown)[0]).toMatchObject({
    lines: ['3 February 1968'],
    second: 'turns 59 in 71 days',
  });
  expect(group('Wedding day', shown)[0]?.second).toBe('30 years today');
  expect(group('Death', shown)[0]?.second).toBe('');
});

test('reaching takes the preferred number that can be spoken to, never a fax', () => {
  const reach = reachOf(
    card({
      phones: {
        p1: { number: '01632 960001', features: { fax: true }, pref: 1 },
        p2: { number: '01632 960002' },
        p3: { number: '07700 900003', features: { mobile: true }, pref: 2 },
      },
    }),
    'GB',
  );
  expect(reach).toEqual({ call: 'tel:+447700900003', message: 'sms:+447700900003' });
});

test('the way leads to the coordinates where they are known, else to the address (RFC 5870)', () => {
  const components = [{ kind: 'locality', value: 'Wexmere' }];
  expect(reachOf(card({ addresses: { a1: { components, coordinates: 'geo:52.1,1.2' } } }), 'GB').way).toBe(
    'geo:52.1,1.2',
  );
  expect(reachOf(card({ addresses: { a1: { components } } }), 'GB').way).toBe('geo:0,0?q=Wexmere');
  expect(reachOf(card({ addresses: { a1: {} } }), 'GB')).toEqual({});
});

test('what has no group is counted, so that it is not thought lost', () => {
  const shown = card({
    members: { x: true },
    vCardProps: [
      ['x-a', {}, 'text', '1'],
      ['x-b', {}, 'text', '2'],
    ],
  });
  expect(unshownValues(shown)).toEqual(['1 member', '2 properties of other programs']);
  expect(unshownValues(card({}))).toEqual([]);
});

test('what another program labels stands under that label, and is not counted as unshown; anything else is', () => {
  const shown = card({
    vCardProps: [
      ['x-relatednames', { group: 'item3' }, 'unknown', 'Eve Lowther'],
      ['x-ablabel', { group: 'ITEM3' }, 'unknown', '_$!<Mother>!$_'],
      ['x-furtherdate', { group: 'item1', type: 'pref' }, 'unknown', '2009-06-20'],
      ['x-ablabel', { group: 'item1' }, 'unknown', 'first concert'],
      ['x-place', { group: 'item2' }, 'unknown', ';;12 Quay\\, left;Wexmere'],
      ['x-ablabel', { group: 'item2' }, 'unknown', 'Winter'],
      ['x-generation', { group: 'item9' }, 'unknown', '4711'],
    ],
  });
  expect([group('Mother', shown), group('First concert', shown), group('Winter', shown)]).toMatchObject([
    [{ lines: ['Eve Lowther'] }],
    [{ lines: ['20 June 2009'] }],
    [{ lines: ['12 Quay, left, Wexmere'] }],
  ]);
  expect(unshownValues(shown)).toEqual(['1 property of another program']);
});

test('the first post and organisation stand at the head of the page; departments and further ones among the values', () => {
  const head = card({ titles: { t1: { name: 'Tuner' } }, organizations: { g1: { name: 'Brine' } } });
  expect(group('Work', head)).toEqual([]);
  const more = card({
    titles: { t1: { name: 'Tuner' }, t2: { name: 'Chair' } },
    organizations: { g1: { name: 'Brine', units: [{ name: 'Organs' }] } },
  });
  expect(group('Work', more).map(({ lines }) => lines[0])).toEqual(['Chair', 'Brine, Organs']);
});

test('other cards, the time there, own fields and keys are shown, and private values marked', () => {
  const shown = card({
    relatedTo: { b: { relation: { spouse: true } }, gone: {} },
    'cordialis.example:timeZone': 'Europe/Oslo',
    'cordialis.example:fields': { f1: { label: 'Shoe size', value: '39' } },
    cryptoKeys: { k1: { uri: `data:,${'x'.repeat(200)}` } },
    phones: { p1: { number: '1', 'cordialis.example:private': true } as never },
  });
  const groups = cardValues(shown, {
    country: 'GB',
    locale: 'en-GB',
    today: '2026-11-24',
    nameOf: (uid) => (uid === 'b' ? 'Bo Ek' : undefined),
    timeIn: () => '14:05',
  });
  const texts = groups.map(({ label, values }) => [
    label,
    values.map(({ lines, second }) => [...lines, second]),
  ]);
  expect(texts).toEqual([
    ['Phone', [['1', 'private']]],
    [
      'People',
      [
        ['Bo Ek', 'spouse'],
        ['gone', 'not in the book'],
      ],
    ],
    ['Local time', [['14:05', 'Europe/Oslo']]],
    ['Shoe size', [['39', '']]],
    ['Key', [[`data:,${'x'.repeat(54)}…`, '']]],
  ]);
  expect(groups.find(({ label }) => label === 'People')?.values.map(({ cardUid }) => cardUid)).toEqual([
    'b',
    undefined,
  ]);
});
