// Worked examples of the standards, each named beside its check.
import { decodeUtf8, encodeUtf8 } from '@/core/base';

import { findFormat } from '../registry';
import { readVcard } from './readVcard';
import { vcard4 } from './vcardFormats';

const read = (...lines: string[]) => readVcard(encodeUtf8(lines.join('\r\n')));

test('RFC 6350 §8: the author’s vCard is read whole', () => {
  const { cards, problems } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:Simon Perreault',
    'N:Perreault;Simon;;;ing. jr,M.Sc.',
    'BDAY:--0203',
    'ANNIVERSARY:20090808T1430-0500',
    'GENDER:M',
    'LANG;PREF=1:fr',
    'LANG;PREF=2:en',
    'ORG;TYPE=work:Viagenie',
    'ADR;TYPE=work:;Suite D2-630;2875 Laurier;',
    ' Quebec;QC;G1V 2M2;Canada',
    'TEL;VALUE=uri;TYPE="work,voice";PREF=1:tel:+1-418-656-9254;ext=102',
    'TEL;VALUE=uri;TYPE="work,cell,voice,video,text":tel:+1-418-262-6501',
    'EMAIL;TYPE=work:simon.perreault@viagenie.ca',
    'GEO;TYPE=work:geo:46.772673,-71.282945',
    'KEY;TYPE=work;VALUE=uri:http://www.viagenie.ca/simon.perreault/simon.asc',
    'TZ:-0500',
    'URL;TYPE=home:http://nomis80.org',
    'END:VCARD',
  );
  expect(problems).toEqual([]);
  const [card] = cards;
  expect(card?.name).toEqual({
    components: [
      { kind: 'given', value: 'Simon' },
      { kind: 'surname', value: 'Perreault' },
      { kind: 'credential', value: 'ing. jr' },
      { kind: 'credential', value: 'M.Sc.' },
    ],
    full: 'Simon Perreault',
  });
  expect(card?.anniversaries).toEqual({
    d1: { kind: 'birth', date: { month: 2, day: 3 } },
    d2: { kind: 'wedding', date: { '@type': 'Timestamp', utc: '2009-08-08T19:30:00Z' } },
  });
  expect(card?.phones).toEqual({
    p1: {
      number: 'tel:+1-418-656-9254;ext=102',
      contexts: { work: true },
      features: { voice: true },
      pref: 1,
    },
    p2: {
      number: 'tel:+1-418-262-6501',
      contexts: { work: true },
      features: { mobile: true, voice: true, video: true, text: true },
    },
  });
  expect(card?.addresses?.['a1']?.components).toEqual([
    { kind: 'apartment', value: 'Suite D2-630' },
    { kind: 'name', value: '2875 Laurier' },
    { kind: 'locality', value: 'Quebec' },
    { kind: 'region', value: 'QC' },
    { kind: 'postcode', value: 'G1V 2M2' },
    { kind: 'country', value: 'Canada' },
  ]);
  expect(card?.preferredLanguages).toEqual({
    q1: { language: 'fr', pref: 1 },
    q2: { language: 'en', pref: 2 },
  });
  // No equivalent in JSContact: kept as they came (RFC 9555 §3.2.3).
  expect(card?.vCardProps).toEqual([
    ['gender', {}, 'unknown', 'M'],
    ['geo', { type: 'work' }, 'unknown', 'geo:46.772673,-71.282945'],
    ['tz', {}, 'unknown', '-0500'],
  ]);
});

test('RFC 2426 §7: the authors’ vCards are read, folded address and all', () => {
  const { cards, problems } = read(
    'BEGIN:vCard',
    'VERSION:3.0',
    'FN:Frank Dawson',
    'ORG:Lotus Development Corporation',
    'ADR;TYPE=WORK,POSTAL,PARCEL:;;6544 Battleford Drive',
    ' ;Raleigh;NC;27613-3502;U.S.A.',
    'TEL;TYPE=VOICE,MSG,WORK:+1-919-676-9515',
    'TEL;TYPE=FAX,WORK:+1-919-676-9564',
    'EMAIL;TYPE=INTERNET,PREF:Frank_Dawson@Lotus.com',
    'EMAIL;TYPE=INTERNET:fdawson@earthlink.net',
    'URL:http://home.earthlink.net/~fdawson',
    'END:vCard',
  );
  expect(problems).toEqual([]);
  const [card] = cards;
  expect(card?.name).toEqual({ full: 'Frank Dawson' });
  expect(card?.organizations).toEqual({ g1: { name: 'Lotus Development Corporation' } });
  expect(card?.addresses?.['a1']?.components?.[0]).toEqual({ kind: 'name', value: '6544 Battleford Drive' });
  expect(card?.addresses?.['a1']?.vCardParams).toEqual({ type: ['postal', 'parcel'] });
  expect(card?.phones?.['p1']).toEqual({
    number: '+1-919-676-9515',
    contexts: { work: true },
    features: { voice: true },
    vCardParams: { type: 'msg' },
  });
  expect(card?.emails?.['e1']).toEqual({ address: 'Frank_Dawson@Lotus.com', pref: 1 });
});

test('RFC 6350 §3.2: the folded note of the example is one text', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    'NOTE:This is a long description that exists on a long line.',
    'NOTE:This is a long description',
    '  that exists o',
    ' n a long line.',
    'END:VCARD',
  );
  const notes = Object.values(cards[0]?.notes ?? {}).map(({ note }) => note);
  expect(notes).toEqual([notes[0], 'This is a long description that exists on a long line.']);
});

test('RFC 6350 §6.3.1: LABEL lays the address out, GEO places it', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    'ADR;GEO="geo:12.3457,78.910";LABEL="Mr. John Q. Public, Esq.\\nMail Drop: TNE QB\\n123 Main Street\\nAny Town, ',
    ' CA  91921-1234\\nU.S.A.":;;123 Main Street;Any Town;CA;91921-1234;U.S.A.',
    'END:VCARD',
  );
  expect(cards[0]?.addresses?.['a1']?.coordinates).toBe('geo:12.3457,78.910');
  expect(cards[0]?.addresses?.['a1']?.full).toMatch(/^Mr\. John Q\. Public, Esq\./);
});

test('RFC 6868 §3: ^n, ^^ and ^’ in parameters', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    "SOCIALPROFILE;VALUE=text;SERVICE-TYPE=George Herman ^'Babe^' Ruth:babe",
    'END:VCARD',
  );
  expect(cards[0]?.onlineServices?.['s1']).toEqual({ user: 'babe', service: 'George Herman "Babe" Ruth' });
});

test('RFC 9554 §2.2: a second surname and a generation are read once', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:Dr. John Philip Paul Stevenson Jr. M.D. A.C.P.',
    'N:Stevenson;John;Philip,Paul;Dr.;Jr.,M.D.,A.C.P.;;Jr.',
    'END:VCARD',
  );
  expect(cards[0]?.name?.components?.filter(({ value }) => value === 'Jr.')).toEqual([
    { kind: 'generation', value: 'Jr.' },
  ]);
});

test('RFC 9555 §3.3.1 (from memory): JSCOMPS keeps the order and the separators', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN;DERIVED=TRUE:Jane Doe, Ph.D.',
    'N;JSCOMPS=";1;0;s,\\, ;4":Doe;Jane;;;Ph.D.',
    'END:VCARD',
  );
  expect(cards[0]?.name).toEqual({
    components: [
      { kind: 'given', value: 'Jane' },
      { kind: 'surname', value: 'Doe' },
      { kind: 'separator', value: ', ' },
      { kind: 'credential', value: 'Ph.D.' },
    ],
    isOrdered: true,
  });
});

test('RFC 9555 §2.3.1: the same title in another language is a localization', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    'TITLE;ALTID=1;LANGUAGE=fr:Patron',
    'TITLE;ALTID=1:Boss',
    'END:VCARD',
  );
  expect(cards[0]?.titles).toEqual({ t1: { name: 'Boss', kind: 'title' } });
  expect(cards[0]?.localizations).toEqual({ fr: { 'titles/t1': { name: 'Patron', kind: 'title' } } });
});

test('RFC 9555 §2.9.4 (from memory): a title in the group of one organisation is that there', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    'a.TITLE:Director',
    'a.ORG:Harbour Hall',
    'b.ORG:Festival',
    'b.ORG:Town Council',
    'b.ROLE:Adviser',
    'TITLE:Neighbour',
    'END:VCARD',
  );
  expect(Object.values(cards[0]?.titles ?? {}).map(({ organizationId }) => organizationId)).toEqual([
    'g1',
    undefined,
    undefined,
  ]);
});

test('RFC 9554 §4.6: how the parts of a name are spoken', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    'N;ALTID=1;LANGUAGE=zh-Hant:孫;中山;文,逸仙;;;;',
    'N;ALTID=1;PHONETIC=jyut;SCRIPT=Latn;LANGUAGE=yue:syun1;zung1saan1;man4,jat6sin1;;;;',
    'END:VCARD',
  );
  expect(cards[0]?.name).toMatchObject({
    phoneticSystem: 'jyut',
    phoneticScript: 'Latn',
    components: [
      { kind: 'given', value: '中山', phonetic: 'zung1saan1' },
      { kind: 'given2', value: '文', phonetic: 'man4' },
      { kind: 'given2', value: '逸仙', phonetic: 'jat6sin1' },
      { kind: 'surname', value: '孫', phonetic: 'syun1' },
    ],
  });
  const written = vcard4.write(cards);
  expect(written).toContain('PHONETIC=jyut');
  expect(written).not.toContain('JSPROP');
  expect(readVcard(encodeUtf8(written)).cards).toEqual(cards);
});

test('RFC 8605 §2.1: where to write to the party that a card stands for', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    'CONTACT-URI;PREF=1:mailto:contact@example.com',
    'END:VCARD',
  );
  expect(cards[0]?.links).toEqual({
    l1: { uri: 'mailto:contact@example.com', kind: 'contact', pref: 1 },
  });
});

test('RFC 6474 §2: place of birth, day and place of death', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    "BIRTHPLACE:Babies'R'Us Hospital",
    'BDAY:19460415',
    'DEATHPLACE;VALUE=uri:geo:38.899533,-77.036476',
    'DEATHDATE:19960415',
    'END:VCARD',
  );
  expect(cards[0]?.anniversaries).toEqual({
    d1: { kind: 'birth', date: { year: 1946, month: 4, day: 15 }, place: { full: "Babies'R'Us Hospital" } },
    d2: {
      kind: 'death',
      date: { year: 1996, month: 4, day: 15 },
      place: { coordinates: 'geo:38.899533,-77.036476' },
    },
  });
});

test('RFC 6715 §2: expertise, hobbies, interests and the directory of an organisation', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'FN:x',
    'EXPERTISE;LEVEL=beginner;INDEX=2:chinese literature',
    'EXPERTISE;INDEX=1;LEVEL=expert:chemistry',
    'HOBBY;INDEX=1;LEVEL=high:reading',
    'INTEREST;INDEX=1;LEVEL=medium:r&b music',
    'ORG-DIRECTORY;INDEX=1:http://directory.mycompany.example.com',
    'END:VCARD',
  );
  expect(Object.values(cards[0]?.personalInfo ?? {})).toEqual([
    { kind: 'expertise', value: 'chinese literature', level: 'low', listAs: 2 },
    { kind: 'expertise', value: 'chemistry', level: 'high', listAs: 1 },
    { kind: 'hobby', value: 'reading', level: 'high', listAs: 1 },
    { kind: 'interest', value: 'r&b music', level: 'medium', listAs: 1 },
  ]);
  expect(Object.values(cards[0]?.directories ?? {})).toEqual([
    { kind: 'directory', uri: 'http://directory.mycompany.example.com', listAs: 1 },
  ]);
});

test('RFC 6350 §6.6.5: a group has members', () => {
  const { cards } = read(
    'BEGIN:VCARD',
    'VERSION:4.0',
    'KIND:group',
    'FN:The Doe family',
    'MEMBER:urn:uuid:03a0e51f-d1aa-4385-8a53-e29025acd8af',
    'MEMBER:urn:uuid:b8767877-b4a1-4c70-9acc-505d3819e519',
    'END:VCARD',
  );
  expect(cards[0]).toMatchObject({
    kind: 'group',
    members: {
      'urn:uuid:03a0e51f-d1aa-4385-8a53-e29025acd8af': true,
      'urn:uuid:b8767877-b4a1-4c70-9acc-505d3819e519': true,
    },
  });
});

const dates = [
  // RFC 6350 §4.3.1 and §6.2.5; RFC 2426 §3.1.5.
  { value: '19960415', date: { year: 1996, month: 4, day: 15 } },
  { value: '--0415', date: { month: 4, day: 15 } },
  { value: '1996-04', date: { year: 1996, month: 4 } },
  { value: '1996', date: { year: 1996 } },
  { value: '--04', date: { month: 4 } },
  { value: '1996-04-15', date: { year: 1996, month: 4, day: 15 } },
  { value: '19531015T231000Z', date: { '@type': 'Timestamp', utc: '1953-10-15T23:10:00Z' } },
  { value: '1987-09-27T08:30:00-06:00', date: { '@type': 'Timestamp', utc: '1987-09-27T14:30:00Z' } },
];
for (const { value, date } of dates) {
  test(`BDAY:${value} is read`, () => {
    const { cards } = read('BEGIN:VCARD', 'VERSION:4.0', 'FN:x', `BDAY:${value}`, 'END:VCARD');
    expect(cards[0]?.anniversaries?.['d1']?.date).toEqual(date);
  });
}

for (const value of ['20000230', '19000229', '---12', 'circa 1800']) {
  test(`BDAY:${value} is no date, and is kept as it was written`, () => {
    const { cards, problems } = read('BEGIN:VCARD', 'VERSION:4.0', 'FN:x', `BDAY:${value}`, 'END:VCARD');
    expect(cards[0]?.anniversaries).toBeUndefined();
    expect(cards[0]?.vCardProps).toEqual([['bday', {}, 'unknown', value]]);
    expect(problems).toEqual([expect.objectContaining({ code: 'unreadable-value', line: 4, text: value })]);
  });
}

const bytes = (text: string, encode: (code: number) => number[]) =>
  Uint8Array.from([...text].flatMap((char) => encode(char.charCodeAt(0))));
const one = (name: string) => `BEGIN:VCARD\r\nVERSION:3.0\r\nFN:${name}\r\nEND:VCARD\r\n`;
const encodings = [
  { name: 'UTF-16LE with its mark', input: bytes(`\ufeff${one('Zoë')}`, (c) => [c & 255, c >> 8]) },
  { name: 'UTF-16BE without a mark', input: bytes(one('Zoë'), (c) => [c >> 8, c & 255]) },
  { name: 'windows-1252 that nobody declared', input: bytes(one('Zoë'), (c) => [c]) },
  { name: 'UTF-8 with its mark', input: encodeUtf8(`\ufeff${one('Zoë')}`) },
  { name: 'UTF-8 with old line ends', input: encodeUtf8(one('Zoë').replaceAll('\r\n', '\r')) },
  {
    name: 'UTF-8 folded inside a character',
    input: Uint8Array.from([
      ...encodeUtf8(one('Zo')).slice(0, -13),
      0xc3,
      13,
      10,
      32,
      0xab,
      13,
      10,
      ...encodeUtf8('END:VCARD'),
    ]),
  },
];
for (const { name, input } of encodings) {
  test(`a file in ${name} is read`, () => {
    expect(findFormat(input)?.id).toMatch(/^vcard/);
    expect(readVcard(input).cards.map((card) => card.name?.full)).toEqual(['Zoë']);
  });
}

test('0x80 in windows-1252 is the euro sign (WHATWG Encoding, index windows-1252)', () => {
  const input = bytes(one('\x80uro'), (c) => [c]);
  expect(readVcard(input).cards[0]?.name?.full).toBe('€uro');
  expect(decodeUtf8(input)).toBeUndefined();
});
