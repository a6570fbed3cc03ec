// What vCard itself can say comes back from it without the help of extensions (RFC 9555 §3), which would repair whatever is misread.
import { encodeUtf8 } from '@/core/base';
import type { Card } from '@/core/card';

import { getFormat } from '../registry';

const BASE: Card = {
  ...{ '@type': 'Card', version: '1.0', uid: 'urn:uuid:00000000-0000-4000-8000-00000000000a' },
  name: { full: 'Ada Lowther' },
};

function through(id: 'vcard3' | 'vcard4', card: Card): Card | undefined {
  const format = getFormat(id);
  if (!format || !('read' in format)) throw new Error('vCards are read and written');
  const text = format.write([card], { extensions: false });
  expect(text).not.toMatch(/JSPROP|JSCOMPS/);
  const { cards, problems } = (
    format as { read: (bytes: Uint8Array) => { cards: Card[]; problems: unknown[] } }
  ).read(encodeUtf8(text));
  expect(problems).toEqual([]);
  return cards[0];
}

/** Properties that both versions have. */
const both: Readonly<Record<string, Partial<Card>>> = {
  FN: { name: { full: 'Ada Lowther' } },
  N: {
    name: {
      components: [
        { kind: 'title', value: 'Dr' },
        { kind: 'given', value: 'Ada' },
        { kind: 'given2', value: 'Mary' },
        { kind: 'surname', value: 'Lowther' },
        { kind: 'credential', value: 'PhD' },
      ],
    },
  },
  NICKNAME: { nicknames: { n1: { name: 'Della' }, n2: { name: 'Ad; A' } } },
  PHOTO: { media: { m1: { kind: 'photo', uri: 'data:image/jpeg;base64,/9j/4AAQ' } } },
  BDAY: { anniversaries: { d1: { kind: 'birth', date: { year: 1985, month: 4, day: 12 } } } },
  ADR: {
    addresses: {
      a1: {
        components: [
          { kind: 'name', value: '5 Quay; north, side' },
          { kind: 'locality', value: 'Whitby' },
          { kind: 'region', value: 'Yorkshire' },
          { kind: 'postcode', value: 'YO21' },
          { kind: 'country', value: 'United Kingdom' },
        ],
        contexts: { private: true },
        full: '5 Quay; north, side\nWhitby',
      },
      a2: {
        components: [{ kind: 'locality', value: 'Hull' }],
        contexts: { work: true },
        full: 'Hull, the mole',
      },
    },
  },
  'ADR of which only the layout is known, beside another of its use': {
    addresses: {
      a1: { components: [{ kind: 'locality', value: 'Hull' }], contexts: { private: true } },
      a2: { full: '5 Quay;\nWhitby', contexts: { private: true } },
    },
  },
  'ADR whose layout is known, behind another of its use': {
    addresses: {
      a1: { components: [{ kind: 'locality', value: 'Hull' }], contexts: { work: true }, label: 'Mole' },
      a2: { components: [{ kind: 'locality', value: 'Whitby' }], contexts: { work: true }, full: '5 Quay' },
    },
  },
  TEL: {
    phones: {
      p1: { number: '+44 7700 900123', features: { mobile: true }, pref: 1 },
      p2: { number: '020 7946 0123', contexts: { work: true }, features: { fax: true } },
      p3: { number: '020 7946 0124', label: 'Choir, office; upstairs' },
    },
  },
  EMAIL: {
    emails: {
      e1: { address: 'ada@example.org', contexts: { work: true } },
      e2: { address: 'a@example.org', label: 'Old' },
    },
  },
  'ORG and TITLE': {
    organizations: { g1: { name: 'Quay; Strings', units: [{ name: 'Sales' }, { name: 'North' }] } },
    titles: {
      t1: { name: 'Director', kind: 'title', organizationId: 'g1' },
      t2: { name: 'Viola', kind: 'role' },
    },
  },
  NOTE: { notes: { o1: { note: 'Sings alto.\nBrings, now and then; cake \\ tea' } } },
  CATEGORIES: { keywords: { 'choir, old': true, patron: true } },
  URL: { links: { l1: { uri: 'https://quay.example/a,b;c' } } },
  IMPP: { onlineServices: { s1: { uri: 'xmpp:ada@chat.example', vCardName: 'impp' } } },
  KEY: { cryptoKeys: { k1: { uri: 'https://quay.example/key' } } },
  REV: { updated: '2026-01-01T10:00:00Z' },
  PRODID: { prodId: '-//Quay//1//EN' },
};
/** Properties that only vCard 4.0 has, with RFC 6474, 6715, 8605, 9554. */
const newer: Readonly<Record<string, Partial<Card>>> = {
  KIND: { kind: 'org' },
  MEMBER: { kind: 'group', members: { 'urn:uuid:b': true } },
  RELATED: { relatedTo: { 'urn:uuid:b': { relation: { friend: true } } } },
  LANG: { preferredLanguages: { q1: { language: 'sv', pref: 1 } } },
  GENDER: { speakToAs: { grammaticalGender: 'feminine', pronouns: { r1: { pronouns: 'she/her' } } } },
  ANNIVERSARY: { anniversaries: { d1: { kind: 'wedding', date: { month: 5, day: 12 } } } },
  DEATHDATE: { anniversaries: { d1: { kind: 'death', date: { year: 2020 }, place: { full: 'Hull' } } } },
  'BDAY as a moment': {
    anniversaries: { d1: { kind: 'birth', date: { '@type': 'Timestamp', utc: '1985-04-12T10:30:00Z' } } },
  },
  'partial days': {
    anniversaries: {
      d1: { kind: 'birth', date: { year: 1985, month: 4 } },
      d2: { kind: 'wedding', date: { year: 2001 } },
    },
  },
  EXPERTISE: {
    personalInfo: {
      i1: { kind: 'expertise', value: 'Chess', level: 'high' },
      i2: { kind: 'hobby', value: 'Sailing', level: 'low' },
    },
  },
  'ORG-DIRECTORY': { directories: { y1: { kind: 'directory', uri: 'ldap://quay.example', listAs: 1 } } },
  CALURI: {
    calendars: {
      c1: { kind: 'calendar', uri: 'https://quay.example/cal' },
      c2: { kind: 'freeBusy', uri: 'https://quay.example/busy' },
    },
  },
  CALADRURI: { schedulingAddresses: { h1: { uri: 'mailto:ada@example.org' } } },
  SOCIALPROFILE: {
    onlineServices: {
      s1: { service: 'Pier', user: 'ada' },
      s2: { service: 'Mole', uri: 'https://mole.example/ada', user: 'a' },
    },
  },
  'ADR with all that 4.0 says of it': {
    addresses: {
      a1: {
        components: [{ kind: 'locality', value: 'Hull' }],
        ...{ countryCode: 'GB', coordinates: 'geo:53.7,-0.3', timeZone: 'Europe/London', label: 'Summer' },
      },
    },
  },
  'NOTE by somebody': {
    notes: {
      o1: {
        note: 'Alto',
        created: '2026-01-01T10:00:00Z',
        author: { name: 'Bo', uri: 'mailto:bo@example.org' },
      },
    },
  },
  LANGUAGE: { language: 'de' },
  'PHONETIC that ends with a sign that parts places': {
    addresses: {
      a1: { components: [{ kind: 'locality', value: 'Hull', phonetic: 'hull;' }], phoneticSystem: 'ipa' },
    },
  },
  CREATED: { created: '2025-01-01T10:00:00Z' },
  'URL with a label and preference': {
    links: { l1: { uri: 'https://quay.example', label: 'Shop', pref: 2 } },
  },
};

for (const [name, part] of Object.entries(both))
  for (const id of ['vcard3', 'vcard4'] as const)
    test(`${name} through ${id}`, () => {
      const back = through(id, { ...BASE, ...part });
      for (const [key, value] of Object.entries(part)) expect(back?.[key as keyof Card]).toEqual(value);
    });
for (const [name, part] of Object.entries(newer))
  test(`${name} through vcard4`, () => {
    const back = through('vcard4', { ...BASE, ...part });
    for (const [key, value] of Object.entries(part)) expect(back?.[key as keyof Card]).toEqual(value);
  });
