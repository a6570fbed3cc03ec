import fc from 'fast-check';

import { findCountryCode, isSameJson, parseTypedDate } from '@/core/base';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { numbered } from '../../../../test/unit/numbered';
import { formatLabel, parseLabel } from '../label';
import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { type CardForm, cardFormSchema } from './cardForm';
import { BLANK_ROWS } from './formParts';
import { fromForm } from './fromForm';
import { toForm } from './toForm';

test('a form that nobody touched gives the very same card', () => {
  fc.assert(
    fc.property(arbitraryCard, (card) => isSameJson(fromForm(card, toForm(card)), card)),
    { numRuns: 150, endOnFailure: true },
  );
});

const base: Card = {
  ...newCard('x', '2026-01-01T00:00:00Z'),
  name: {
    components: [
      { kind: 'given', value: 'Ada' },
      { kind: 'surname', value: 'Lowther' },
    ],
    isOrdered: true,
  },
  phones: {
    p1: { number: '020 7946 0958', contexts: { work: true }, vCardParams: { type: 'msg' } },
    p4: { number: '1' },
  },
  addresses: {
    a1: {
      components: [
        { kind: 'number', value: '7' },
        { kind: 'name', value: 'Pier Road' },
        { kind: 'landmark', value: 'by the lighthouse' },
        { kind: 'country', value: 'Norway' },
      ],
      countryCode: 'NO',
      coordinates: 'geo:1,2',
    },
  },
};
function edited(change: (form: CardForm) => void, card = base): Card {
  const form = toForm(card);
  change(form);
  return fromForm(card, form, { findCountryCode });
}

const cases: {
  name: string;
  change: (form: CardForm) => void;
  expected: (card: Card) => unknown;
  value: unknown;
}[] = [
  {
    name: 'a new number keeps what else the entry says',
    change: (form) => Object.assign(form.phones[0] ?? {}, { number: ' 030 1 ' }),
    expected: (card) => card.phones,
    value: {
      p1: { number: '030 1', contexts: { work: true }, vCardParams: { type: 'msg' } },
      p4: { number: '1' },
    },
  },
  {
    name: 'a new label becomes contexts and features',
    change: (form) => Object.assign(form.phones[0] ?? {}, { label: 'home fax' }),
    expected: (card) => card.phones?.['p1'],
    value: {
      number: '020 7946 0958',
      contexts: { private: true },
      features: { fax: true },
      vCardParams: { type: 'msg' },
    },
  },
  {
    name: 'a label of one’s own stays a label',
    change: (form) => Object.assign(form.phones[0] ?? {}, { label: 'Stage door' }),
    expected: (card) => card.phones?.['p1']?.label,
    value: 'Stage door',
  },
  {
    name: 'parts typed one by one make the name, and the line stays what is shown',
    change: (form) => {
      Object.assign(form.parts, { given: 'Adelheid', surname: 'van der Lowther', credential: 'MA' });
      form.name = 'Ada van der Lowther';
    },
    expected: (card) => card.name,
    value: {
      components: [
        { kind: 'given', value: 'Adelheid' },
        { kind: 'surname', value: 'van der Lowther' },
        { kind: 'credential', value: 'MA' },
      ],
      full: 'Ada van der Lowther',
    },
  },
  {
    name: 'how a name sounds and is sorted stands with it',
    change: (form) => Object.assign(form.parts, { givenSound: 'AY-da', sortedAs: 'Lother' }),
    expected: (card) => card.name,
    value: {
      components: [
        { kind: 'given', value: 'Ada', phonetic: 'AY-da' },
        { kind: 'surname', value: 'Lowther' },
      ],
      isOrdered: true,
      sortAs: { surname: 'Lother' },
    },
  },
  {
    name: 'two places of work keep their posts apart',
    change: (form) => {
      form.work = [
        {
          ...BLANK_ROWS.work,
          organization: 'Harbour Hall',
          unit: 'Stage; Light',
          post: 'Head',
          role: 'Lighting',
        },
        { ...BLANK_ROWS.work, organization: 'Festival', post: 'Adviser' },
      ];
    },
    expected: ({ organizations, titles }) => ({ organizations, titles }),
    value: {
      organizations: {
        g1: { name: 'Harbour Hall', units: [{ name: 'Stage' }, { name: 'Light' }] },
        g2: { name: 'Festival' },
      },
      titles: {
        t1: { kind: 'title', name: 'Head', organizationId: 'g1' },
        t2: { kind: 'role', name: 'Lighting', organizationId: 'g1' },
        t3: { kind: 'title', name: 'Adviser', organizationId: 'g2' },
      },
    },
  },
  {
    name: 'nicknames, languages and tags are read from one line each',
    change: (form) =>
      Object.assign(form, { nickname: 'Addie, Del', languages: 'Norwegian, de', tags: 'press, patron' }),
    expected: ({ nicknames, preferredLanguages, keywords }) => ({ nicknames, preferredLanguages, keywords }),
    value: {
      nicknames: { n1: { name: 'Addie' }, n2: { name: 'Del' } },
      preferredLanguages: { q1: { language: 'no' }, q2: { language: 'de' } },
      keywords: { press: true, patron: true },
    },
  },
  {
    name: 'a value is made private, and a mail address gets a name of its own',
    change: (form) => {
      Object.assign(form.phones[0] ?? {}, { isPrivate: true });
      form.emails.push({
        ...BLANK_ROWS.emails,
        id: 'new',
        address: 'ada@example.org',
        shownAs: 'Box office',
      });
    },
    expected: ({ phones, emails }) => [phones?.['p1']?.number, phones?.['p1'] as object, emails],
    value: [
      '020 7946 0958',
      expect.objectContaining({ 'cordialis.example:private': true }),
      {
        e1: {
          address: 'ada@example.org',
          contexts: { work: true },
          'cordialis.example:shownAs': 'Box office',
        },
      },
    ],
  },
  {
    name: 'a file is kept with the card, under its name',
    change: (form) =>
      form.files.push({ id: 'new', text: ' plan.pdf ', uri: 'data:application/pdf;base64,AA==' }),
    expected: (card) => card.media,
    value: {
      m1: { kind: 'cordialis.example:file', label: 'plan.pdf', uri: 'data:application/pdf;base64,AA==' },
    },
  },
  {
    name: 'a photo takes the place of the one shown, and leaves sounds alone',
    change: (form) => Object.assign(form, { photo: 'data:image/jpeg;base64,AA==' }),
    expected: (card) => card.media,
    value: { m1: { kind: 'photo', uri: 'data:image/jpeg;base64,AA==' } },
  },
  {
    name: 'accounts, interests, own fields, keys, relations, zone and pronouns',
    change: (form) => {
      form.accounts.push({ ...BLANK_ROWS.accounts, id: 'new', label: 'Matrix', text: '@ada:example.org' });
      form.infos.push({ ...BLANK_ROWS.infos, id: 'new', label: 'hobby', text: 'sailing' });
      form.ownFields.push({ ...BLANK_ROWS.ownFields, id: 'new', label: 'Shoe size', text: '39' });
      form.keys.push({ ...BLANK_ROWS.keys, id: 'new', text: 'https://example.org/ada.asc' });
      form.relations.push({ id: 'b', label: 'spouse', text: 'Bo' }, { id: '', label: 'friend', text: 'Cy' });
      Object.assign(form, { timeZone: 'Europe/Oslo', ring: 'bell', pronouns: 'she/her', isPrivate: true });
    },
    expected: (card) => [
      card.onlineServices,
      card.personalInfo,
      card['cordialis.example:fields'],
      card.cryptoKeys,
      card.relatedTo,
      card['cordialis.example:timeZone'],
      card['cordialis.example:ring'],
      card.speakToAs,
      card['cordialis.example:private'],
    ],
    value: [
      { s1: { user: '@ada:example.org', service: 'Matrix' } },
      { i1: { kind: 'hobby', value: 'sailing' } },
      { f1: { label: 'Shoe size', value: '39' } },
      { k1: { uri: 'https://example.org/ada.asc' } },
      { b: { relation: { spouse: true } } },
      'Europe/Oslo',
      'bell',
      { pronouns: { r1: { pronouns: 'she/her' } } },
      true,
    ],
  },
  {
    name: 'an added row gets an id of its own, an empty one is left out',
    change: (form) =>
      form.phones.push(
        { ...BLANK_ROWS.phones, id: 'new1', number: '2', label: '', isPreferred: true },
        { ...BLANK_ROWS.phones, id: 'new2', number: ' ', label: '' },
      ),
    expected: (card) => Object.entries(card.phones ?? {}).slice(2),
    value: [['p3', { number: '2', pref: 1 }]],
  },
  {
    name: 'removed rows are gone, and the collection with the last',
    change: (form) => form.phones.splice(0),
    expected: (card) => 'phones' in card,
    value: false,
  },
  {
    name: 'a changed street keeps the landmark and drops the old place on the map',
    change: (form) => Object.assign(form.addresses[0] ?? {}, { street: '9 Pier Road' }),
    expected: (card) => card.addresses?.['a1'],
    value: {
      components: [
        { kind: 'landmark', value: 'by the lighthouse' },
        { kind: 'name', value: '9 Pier Road' },
        { kind: 'country', value: 'Norway' },
      ],
      countryCode: 'NO',
    },
  },
  {
    name: 'an address becomes the one for letters and keeps its label',
    change: (form) => Object.assign(form.addresses[0] ?? {}, { isPost: true, label: 'home' }),
    expected: (card) => card.addresses?.['a1']?.contexts,
    value: { private: true, delivery: true },
  },
  {
    name: 'a changed country changes its code',
    change: (form) => Object.assign(form.addresses[0] ?? {}, { country: 'Sweden' }),
    expected: (card) => card.addresses?.['a1']?.countryCode,
    value: 'SE',
  },
  {
    name: 'a birthday without a year',
    change: (form) =>
      form.dates.push({ ...BLANK_ROWS.dates, id: 'n', label: 'birthday', text: '3 February' }),
    expected: (card) => card.anniversaries,
    value: { d1: { kind: 'birth', date: { month: 2, day: 3 } } },
  },
  {
    name: 'a day of another kind keeps its label',
    change: (form) => form.dates.push({ ...BLANK_ROWS.dates, id: 'n', label: 'First concert', text: '1999' }),
    expected: (card) => card.anniversaries?.['d1'],
    value: { kind: 'cordialis.example:other', date: { year: 1999 }, label: 'First concert' },
  },
  {
    name: 'a typed name is taken apart',
    change: (form) => Object.assign(form, { name: 'Dr. Ada van Dijk' }),
    expected: (card) => card.name?.components?.map(({ kind, value }) => `${kind}:${value}`),
    value: ['title:Dr.', 'given:Ada', 'surname:van Dijk'],
  },
  {
    name: 'the name of an organisation is not taken apart',
    change: (form) => Object.assign(form, { name: 'Ada van Dijk', kind: 'org' }),
    expected: (card) => [card.kind, card.name],
    value: ['org', { full: 'Ada van Dijk' }],
  },
  {
    name: 'a web address without its scheme gets one',
    change: (form) => form.links.push({ ...BLANK_ROWS.links, id: 'n', label: '', uri: 'ada.example.org' }),
    expected: (card) => card.links?.['l1']?.uri,
    value: 'https://ada.example.org',
  },
  {
    name: 'organisation and title',
    change: (form) =>
      Object.assign(form.work[0] ?? {}, { organization: 'Brine & Bellows', post: 'Organ builder' }),
    expected: (card) => [card.organizations, card.titles],
    value: [{ g1: { name: 'Brine & Bellows' } }, { t1: { name: 'Organ builder', kind: 'title' } }],
  },
];
for (const { name, change, expected, value } of cases)
  test(name, () => expect(expected(numbered(edited(change)))).toEqual(value));

const dates = [
  { text: '3 February 1968', date: { year: 1968, month: 2, day: 3 } },
  { text: '3rd Feb', date: { month: 2, day: 3 } },
  { text: 'February 3, 1968', date: { year: 1968, month: 2, day: 3 } },
  { text: '1968-02-03', date: { year: 1968, month: 2, day: 3 } },
  { text: '3.2.1968', date: { year: 1968, month: 2, day: 3 } },
  { text: '03/02', date: { month: 2, day: 3 } },
  { text: 'February 1968', date: { year: 1968, month: 2 } },
  { text: '1968', date: { year: 1968 } },
  { text: '29 February', date: { month: 2, day: 29 } },
  { text: '29 February 1900', date: undefined },
  { text: '31 April', date: undefined },
  { text: 'ju', date: undefined },
  { text: 'soon', date: undefined },
  { text: '3 February or so', date: undefined },
];
for (const { text, date } of dates)
  test(`"${text}" is ${date ? 'a' : 'no'} date`, () => expect(parseTypedDate(text)).toEqual(date));

test('dates are read in the user’s language and in English; figures by the order set', () => {
  expect(parseTypedDate('3. Februar 1968', 'day-first', 'de')).toEqual({ year: 1968, month: 2, day: 3 });
  expect(parseTypedDate('3 de febrero de 1968', 'day-first', 'es')).toEqual({ year: 1968, month: 2, day: 3 });
  expect(parseTypedDate('3 May', 'day-first', 'de')).toEqual({ month: 5, day: 3 });
  expect(parseTypedDate('02/03/1968', 'month-first')).toEqual({ year: 1968, month: 2, day: 3 });
});

test('labels go to words and back', () => {
  for (const words of ['work mobile', 'home', 'main', 'work fax', 'Stage door']) {
    expect(formatLabel(parseLabel(words, 'phone'))).toBe(words);
  }
  expect(parseLabel('mobile', 'other')).toEqual({ label: 'mobile' });
});

const faults = [
  { name: 'nothing at all', change: () => undefined, path: ['name'] },
  {
    name: 'a mail address without @',
    change: (form: CardForm) =>
      form.emails.push({ ...BLANK_ROWS.emails, id: 'n', label: '', isPreferred: false, address: 'ada' }),
    path: ['emails', 0, 'address'],
  },
  {
    name: 'a number without digits',
    change: (form: CardForm) =>
      form.phones.push({ ...BLANK_ROWS.phones, id: 'n', label: '', isPreferred: false, number: 'ask' }),
    path: ['phones', 0, 'number'],
  },
  {
    name: 'a day that does not exist',
    change: (form: CardForm) => (
      form.dates.push({ ...BLANK_ROWS.dates, id: 'n', label: '', text: '31 April' }),
      (form.name = 'A')
    ),
    path: ['dates', 0, 'text'],
  },
];
for (const { name, change, path } of faults) {
  test(`${name} is refused at its field`, () => {
    const form = toForm(newCard('x', '2026-01-01T00:00:00Z'));
    change(form);
    const result = cardFormSchema.safeParse(form);
    expect(result.error?.issues.map((issue) => issue.path)).toContainEqual(path);
  });
}

for (const only of ['name', 'organization', 'phones', 'emails'] as const) {
  test(`one of four is enough: ${only}`, () => {
    const form = toForm(newCard('x', '2026-01-01T00:00:00Z'));
    if (only === 'phones')
      form.phones.push({ ...BLANK_ROWS.phones, id: 'n', label: '', isPreferred: false, number: '1' });
    else if (only === 'emails')
      form.emails.push({ ...BLANK_ROWS.emails, id: 'n', label: '', isPreferred: false, address: 'a@b' });
    else if (only === 'organization') form.work = [{ ...BLANK_ROWS.work, organization: 'A' }];
    else form.name = 'A';
    expect(cardFormSchema.safeParse(form).success).toBe(true);
  });
}
