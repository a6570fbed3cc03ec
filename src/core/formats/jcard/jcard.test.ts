// The examples of RFC 7095.
import { encodeUtf8 } from '@/core/base';

import { findFormat } from '../registry';
import { jcard } from './jcardFormat';

/** RFC 7095 appendix B.2: the author's vCard of RFC 6350 as jCard. */
const AUTHOR = [
  'vcard',
  [
    ['version', {}, 'text', '4.0'],
    ['fn', {}, 'text', 'Simon Perreault'],
    ['n', {}, 'text', ['Perreault', 'Simon', '', '', ['ing. jr', 'M.Sc.']]],
    ['bday', {}, 'date-and-or-time', '--02-03'],
    ['anniversary', {}, 'date-and-or-time', '2009-08-08T14:30:00-05:00'],
    ['gender', {}, 'text', 'M'],
    ['lang', { pref: '1' }, 'language-tag', 'fr'],
    ['lang', { pref: '2' }, 'language-tag', 'en'],
    ['org', { type: 'work' }, 'text', 'Viagenie'],
    [
      'adr',
      { type: 'work' },
      'text',
      ['', 'Suite D2-630', '2875 Laurier', 'Quebec', 'QC', 'G1V 2M2', 'Canada'],
    ],
    ['tel', { type: ['work', 'voice'], pref: '1' }, 'uri', 'tel:+1-418-656-9254;ext=102'],
    ['tel', { type: ['work', 'cell', 'voice', 'video', 'text'] }, 'uri', 'tel:+1-418-262-6501'],
    ['email', { type: 'work' }, 'text', 'simon.perreault@viagenie.ca'],
    ['geo', { type: 'work' }, 'uri', 'geo:46.772673,-71.282945'],
    ['key', { type: 'work' }, 'uri', 'http://www.viagenie.ca/simon.perreault/simon.asc'],
    ['tz', {}, 'utc-offset', '-05:00'],
    ['url', { type: 'home' }, 'uri', 'http://nomis80.org'],
  ],
];

test('RFC 7095 B.2: the author’s jCard is read whole', () => {
  const bytes = encodeUtf8(JSON.stringify(AUTHOR));
  expect(findFormat(bytes)).toBe(jcard);
  const { cards, problems } = jcard.read(bytes);
  expect(problems).toEqual([]);
  expect(cards[0]).toMatchObject({
    name: {
      full: 'Simon Perreault',
      components: [
        { kind: 'given', value: 'Simon' },
        { kind: 'surname', value: 'Perreault' },
        { kind: 'credential', value: 'ing. jr' },
        { kind: 'credential', value: 'M.Sc.' },
      ],
    },
    anniversaries: {
      d1: { kind: 'birth', date: { month: 2, day: 3 } },
      d2: { kind: 'wedding', date: { '@type': 'Timestamp', utc: '2009-08-08T19:30:00Z' } },
    },
    organizations: { g1: { name: 'Viagenie', contexts: { work: true } } },
    phones: {
      p1: { number: 'tel:+1-418-656-9254;ext=102', features: { voice: true }, pref: 1 },
      p2: { features: { mobile: true, voice: true, video: true, text: true } },
    },
    links: { l1: { uri: 'http://nomis80.org', contexts: { private: true } } },
  });
});

test('RFC 7095 B.2: what was read is written with the same properties, types and values', () => {
  const { cards } = jcard.read(encodeUtf8(JSON.stringify(AUTHOR)));
  const [[, written]] = JSON.parse(jcard.write(cards, { extensions: false })) as [[string, unknown[][]]];
  const properties = (AUTHOR[1] as unknown[][]).filter(([name]) => name !== 'anniversary');
  for (const property of properties) expect(written).toContainEqual(property);
});

test('RFC 7095 §3.5: dates and times are written in the extended form', () => {
  const card = {
    '@type': 'Card' as const,
    version: '1.0' as const,
    uid: 'urn:uuid:1',
    updated: '1995-10-31T22:27:10Z',
    anniversaries: {
      d1: { kind: 'birth', date: { year: 1985, month: 4, day: 12 } },
      d2: { kind: 'wedding', date: { '@type': 'Timestamp' as const, utc: '2009-08-08T19:30:00Z' } },
    },
  };
  const text = jcard.write([card]);
  expect(text).toContain('["rev",{},"timestamp","1995-10-31T22:27:10Z"]');
  expect(text).toContain('["bday",{},"date-and-or-time","1985-04-12"]');
  expect(text).toContain('["anniversary",{},"date-and-or-time","2009-08-08T19:30:00Z"]');
});

test('RFC 7095 §3.3.1.2 and §3.4: several values, groups and several types', () => {
  const { cards } = jcard.read(
    encodeUtf8(
      JSON.stringify([
        'vcard',
        [
          ['fn', {}, 'text', 'x'],
          ['categories', {}, 'text', 'computers', 'cameras'],
          ['email', { group: 'contact' }, 'text', 'a@example.com'],
          ['tel', { type: ['work', 'fax'] }, 'text', '1'],
        ],
      ]),
    ),
  );
  expect(cards[0]).toMatchObject({
    keywords: { computers: true, cameras: true },
    emails: { e1: { vCardParams: { group: 'contact' } } },
    phones: { p1: { contexts: { work: true }, features: { fax: true } } },
  });
});

const faults = [
  { name: 'no JSON', text: '["vcard", [', problem: { code: 'not-this-format' } },
  { name: 'no properties', text: '[["vcard"]]', problem: { code: 'unreadable-card', text: '["vcard"]' } },
  {
    name: 'a property without a value',
    text: '["vcard",[["fn",{},"text","x"],["tel",{}]]]',
    problem: { code: 'not-a-property', text: '["tel",{}]' },
  },
];
for (const { name, text, problem } of faults) {
  test(`${name} is reported with its text`, () => {
    expect(jcard.read(encodeUtf8(text)).problems).toEqual([expect.objectContaining(problem)]);
  });
}
