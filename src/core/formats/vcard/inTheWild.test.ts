// Cards as phones, mail programs, address books of the web and office programs write them: made up after their known habits
// (common practice), with what must come out.
import { encodeUtf8 } from '@/core/base';
import type { Card } from '@/core/card';

import { readVcard } from './readVcard';

const read = (...lines: readonly string[]) => readVcard(encodeUtf8(lines.join('\r\n')));
const wrap = (version: string, lines: readonly string[]) => [
  'BEGIN:VCARD',
  `VERSION:${version}`,
  ...lines,
  'END:VCARD',
];
const values = (record: object | undefined) => Object.values(record ?? {}) as Record<string, unknown>[];
const birth = ({ anniversaries }: Card) => values(anniversaries)[0]?.['date'];
const numbers = ({ phones }: Card) => values(phones).map(({ number }) => number);
const labels = (record: object | undefined) => values(record).map(({ label }) => label);
const kept = ({ vCardProps = [] }: Card) =>
  vCardProps.map(([name, , , value]) => `${name}: ${String(value)}`);

interface Fixture {
  readonly name: string;
  readonly version: '2.1' | '3.0' | '4.0';
  readonly lines: readonly string[];
  readonly of: (card: Card) => unknown;
  readonly is: unknown;
  /** Of a value that isn't sound. */
  readonly problems?: readonly string[];
}

const fixtures: readonly Fixture[] = [
  {
    name: 'a label in signs, in the group of its number',
    version: '3.0',
    lines: ['FN:Ada', 'item1.TEL:+442079460123', 'item1.X-ABLabel:_$!<Mobile>!$_'],
    of: ({ phones }) => labels(phones),
    is: ['Mobile'],
  },
  {
    name: 'a label of one’s own in a group',
    version: '3.0',
    lines: ['FN:Ada', 'item2.EMAIL;type=INTERNET:ada@example.org', 'item2.X-ABLabel:Choir'],
    of: ({ emails }) => labels(emails),
    is: ['Choir'],
  },
  {
    name: 'a related name stays with its label where nobody reads it',
    version: '3.0',
    lines: ['FN:Ada', 'item3.X-RELATEDNAMES:Eve Lowther', 'item3.X-ABLabel:_$!<Mother>!$_'],
    of: kept,
    is: ['x-relatednames: Eve Lowther', 'x-ablabel: _$!<Mother>!$_'],
  },
  {
    name: 'a further date stays with its label where nobody reads it',
    version: '3.0',
    lines: ['FN:Ada', 'item1.X-FURTHERDATE;type=pref:2009-06-20', 'item1.X-ABLabel:First concert'],
    of: kept,
    is: ['x-furtherdate: 2009-06-20', 'x-ablabel: First concert'],
  },
  {
    name: 'a birthday without its year, by the parameter that says which year is none',
    version: '3.0',
    lines: ['FN:Ada', 'BDAY;X-PHONE-OMIT-YEAR=1700:1700-05-12'],
    of: ({ anniversaries }) => values(anniversaries)[0],
    is: { kind: 'birth', date: { month: 5, day: 12 } },
  },
  {
    name: 'a birthday without its year, by the year that is none',
    version: '3.0',
    lines: ['FN:Ada', 'BDAY;VALUE=date:1604-05-12'],
    of: birth,
    is: { month: 5, day: 12 },
  },
  {
    name: 'a birthday without its year, by hyphens',
    version: '3.0',
    lines: ['FN:Ada', 'BDAY:--05-12'],
    of: birth,
    is: { month: 5, day: 12 },
  },
  {
    name: 'a birthday at midnight somewhere is that day',
    version: '3.0',
    lines: ['FN:Ada', 'BDAY:1985-04-12T00:00:00+02:00'],
    of: birth,
    is: { year: 1985, month: 4, day: 12 },
  },
  {
    name: 'a birthday at midnight in the west is that day',
    version: '4.0',
    lines: ['FN:Ada', 'BDAY:19850412T000000-0500'],
    of: birth,
    is: { year: 1985, month: 4, day: 12 },
  },
  {
    name: 'a birthday in the early morning is the day there, not that of Greenwich',
    version: '4.0',
    lines: ['FN:Ada', 'BDAY:19850412T013000+0200'],
    of: birth,
    is: { year: 1985, month: 4, day: 12 },
  },
  {
    name: 'a birthday as a point in time where the day is the same',
    version: '4.0',
    lines: ['FN:Ada', 'BDAY:19850412T103000Z'],
    of: birth,
    is: { '@type': 'Timestamp', utc: '1985-04-12T10:30:00Z' },
  },
  {
    name: 'a birthday with slashes is kept as it was written',
    version: '3.0',
    lines: ['FN:Ada', 'BDAY:12/05/1985'],
    of: kept,
    is: ['bday: 12/05/1985'],
    problems: ['unreadable-value'],
  },
  {
    name: 'layouts go to the addresses of their types',
    version: '3.0',
    lines: [
      'FN:Ada',
      'ADR;TYPE=home:;;5 Quay;Whitby;;;',
      'ADR;TYPE=work:;;1 Mole;Hull;;;',
      'LABEL;TYPE=home:5 Quay\\nWhitby',
      'LABEL;TYPE=work:1 Mole\\nHull',
    ],
    of: ({ addresses }) => values(addresses).map(({ contexts, full }) => [contexts, full]),
    is: [
      [{ private: true }, '5 Quay\nWhitby'],
      [{ work: true }, '1 Mole\nHull'],
    ],
  },
  {
    name: 'layouts in another order than their addresses',
    version: '2.1',
    lines: [
      'N:Ada',
      'ADR;WORK:;;1 Mole;Hull;;;',
      'ADR;HOME:;;5 Quay;Whitby;;;',
      'LABEL;HOME:5 Quay',
      'LABEL;WORK:1 Mole',
    ],
    of: ({ addresses }) => values(addresses).map(({ full }) => full),
    is: ['1 Mole', '5 Quay'],
  },
  {
    name: 'a layout without types goes to the only address',
    version: '3.0',
    lines: ['FN:Ada', 'ADR;TYPE=home:;;5 Quay;Whitby;;;', 'LABEL:5 Quay\\nWhitby'],
    of: ({ addresses }) => values(addresses).map(({ full }) => full),
    is: ['5 Quay\nWhitby'],
  },
  {
    name: 'a layout in a parameter with its line breaks as in a value (RFC 6350 §6.3.1)',
    version: '4.0',
    lines: [
      'FN:Ada',
      'ADR;LABEL="Mr. John Q. Public, Esq.\\nMail Drop: TNE QB\\n123 Main Street\\nAny Town, CA  91921-1234\\nU.S.A.":;;123 Main Street;Any Town;CA;91921-1234;U.S.A.',
    ],
    of: ({ addresses }) => String(values(addresses)[0]?.['full']).split('\n').length,
    is: 5,
  },
  {
    name: 'a layout in a parameter with its line breaks by RFC 6868',
    version: '4.0',
    lines: ['FN:Ada', 'ADR;LABEL="5 Quay^nWhitby":;;5 Quay;Whitby;;;'],
    of: ({ addresses }) => values(addresses)[0]?.['full'],
    is: '5 Quay\nWhitby',
  },
  {
    name: 'types in lower case, in a list and in quotes',
    version: '3.0',
    lines: ['FN:Ada', 'TEL;type=cell,voice;type=pref:+44 7700 900123', 'TEL;TYPE="home,fax":020 7946 0123'],
    of: ({ phones }) => values(phones).map(({ contexts, features, pref }) => ({ contexts, features, pref })),
    is: [
      { contexts: undefined, features: { mobile: true, voice: true }, pref: 1 },
      { contexts: { private: true }, features: { fax: true }, pref: undefined },
    ],
  },
  {
    name: 'types without a name, as in 2.1',
    version: '2.1',
    lines: [
      'N:Lowther;Ada',
      'TEL;CELL:07700900123',
      'TEL;WORK;VOICE:02079460123',
      'EMAIL;PREF;INTERNET:ada@example.org',
    ],
    of: (card) => [numbers(card), values(card.emails)[0]?.['pref']],
    is: [['07700900123', '02079460123'], 1],
  },
  {
    name: 'quoted-printable over several lines, in UTF-8',
    version: '2.1',
    lines: [
      'N;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:M=C3=BCller;J=C3=B6rg;;;',
      'NOTE;ENCODING=QUOTED-PRINTABLE;CHARSET=UTF-8:Sings alto=0D=0A=',
      'and brings =',
      'cake',
    ],
    of: ({ notes, name }) => [values(notes)[0]?.['note'], (name?.components ?? []).map(({ value }) => value)],
    is: ['Sings alto\nand brings cake', ['Jörg', 'Müller']],
  },
  {
    name: 'a picture with a type that is none, in small letters',
    version: '3.0',
    lines: ['FN:Ada', 'PHOTO;ENCODING=b;TYPE=jpg:/9j/4AAQ'],
    of: ({ media }) => values(media)[0]?.['uri'],
    is: 'data:image/jpg;base64,/9j/4AAQ',
  },
  {
    name: 'a picture whose base64 is cut off, as far as it can be read',
    version: '3.0',
    lines: ['FN:Ada', 'PHOTO;ENCODING=b;TYPE=JPEG:/9j/4AAQS*kZJ'],
    of: ({ media }) => values(media)[0]?.['uri'],
    is: 'data:image/jpeg;base64,/9j/4AAQSkZJ',
    problems: ['unreadable-value'],
  },
  {
    name: 'a picture whose padding is missing',
    version: '3.0',
    lines: ['FN:Ada', 'PHOTO;ENCODING=b;TYPE=JPEG:/9j/4A'],
    of: ({ media }) => values(media)[0]?.['uri'],
    is: 'data:image/jpeg;base64,/9j/4A==',
    problems: ['unreadable-value'],
  },
  {
    name: 'a picture as a data: URI of 4.0',
    version: '4.0',
    lines: ['FN:Ada', 'PHOTO:data:image/png;base64,iVBORw0KGgo='],
    of: ({ media }) => values(media)[0]?.['uri'],
    is: 'data:image/png;base64,iVBORw0KGgo=',
  },
  {
    name: 'base64 that goes on without an indent',
    version: '2.1',
    lines: ['N:Ada', 'PHOTO;ENCODING=BASE64;TYPE=JPEG:/9j/4AAQ', 'SkZJRgAB', ''],
    of: ({ media }) => values(media)[0]?.['uri'],
    is: 'data:image/jpeg;base64,/9j/4AAQSkZJRgAB',
  },
  {
    name: 'semicolons that nobody escaped in a note',
    version: '3.0',
    lines: ['FN:Ada', 'NOTE:alto; tenor when needed, bass never'],
    of: ({ notes }) => values(notes)[0]?.['note'],
    is: 'alto; tenor when needed, bass never',
  },
  {
    name: 'an organisation with units, and one whose name has a semicolon that is escaped',
    version: '3.0',
    lines: ['FN:Ada', 'ORG:Quay Strings;Sales;North', 'ORG:Mole\\; Sons'],
    of: ({ organizations }) =>
      values(organizations).map(({ name, units }) => [
        name,
        ((units ?? []) as { name: string }[]).map((unit) => unit.name),
      ]),
    is: [
      ['Quay Strings', ['Sales', 'North']],
      ['Mole; Sons', []],
    ],
  },
  {
    name: 'categories as groups of people',
    version: '3.0',
    lines: ['FN:Ada', 'CATEGORIES:Choir,Patrons\\, old,allOfThem'],
    of: ({ keywords }) => Object.keys(keywords ?? {}),
    is: ['Choir', 'Patrons, old', 'allOfThem'],
  },
  {
    name: 'a huge note',
    version: '3.0',
    lines: ['FN:Ada', `NOTE:${'Sings alto.\\n'.repeat(20_000)}`],
    of: ({ notes }) => String(values(notes)[0]?.['note']).length,
    is: 240_000,
  },
  {
    name: 'names in fields that only one maker has are kept',
    version: '3.0',
    lines: ['FN:Ada', 'X-PHONETIC-FIRST-NAME:Ay-da', 'X-SPOUSE:Bo', 'X-CUSTOM1:x'],
    of: ({ vCardProps = [], name }) => [vCardProps.map(([key]) => key), name?.components?.[0]?.phonetic],
    is: [['x-spouse', 'x-custom1', 'x-phonetic-first-name'], undefined],
  },
  {
    name: 'an e-mail type that no standard has',
    version: '3.0',
    lines: ['FN:Ada', 'EMAIL;TYPE=INTERNET;TYPE=OTHER:ada@example.org'],
    of: ({ emails }) => values(emails)[0],
    is: { address: 'ada@example.org', vCardParams: { type: 'other' } },
  },
  {
    name: 'a number as a URI with its parameters',
    version: '4.0',
    lines: ['FN:Ada', 'TEL;VALUE=uri;PREF=1;TYPE="voice,home":tel:+44-20-7946-0123;ext=5'],
    of: numbers,
    is: ['tel:+44-20-7946-0123;ext=5'],
  },
  {
    name: 'an empty number and an empty address say nothing',
    version: '3.0',
    lines: ['FN:Ada', 'TEL;TYPE=CELL:', 'ADR;TYPE=home:;;;;;;', 'EMAIL:'],
    of: ({ phones, addresses, emails, vCardProps }) => [phones, addresses, emails, vCardProps],
    is: [undefined, undefined, undefined, undefined],
  },
  {
    name: 'a name in one piece only, as mail programs that learn from mails write it',
    version: '3.0',
    lines: ['N:;;;;', 'FN:ada@example.org', 'EMAIL:ada@example.org'],
    of: ({ name }) => name,
    is: { full: 'ada@example.org' },
  },
  {
    name: 'an address in quoted-printable without a charset',
    version: '2.1',
    lines: ['N:Ada', 'ADR;HOME;ENCODING=QUOTED-PRINTABLE:;;Stra=C3=9Fe 5;K=C3=B6ln;;50667;Deutschland'],
    of: ({ addresses }) =>
      ((values(addresses)[0]?.['components'] ?? []) as { kind: string; value: string }[])
        .filter(({ kind }) => kind === 'locality' || kind === 'name')
        .map(({ value }) => value),
    is: ['Straße 5', 'Köln'],
  },
  {
    name: 'a fax at work, and a car phone, which no standard has any more',
    version: '2.1',
    lines: ['N:Ada', 'TEL;WORK;FAX:020 7946 0123', 'TEL;CAR:07700 900123'],
    of: ({ phones }) => values(phones).map(({ features, vCardParams }) => [features, vCardParams]),
    is: [
      [{ fax: true }, undefined],
      [undefined, { type: 'car' }],
    ],
  },
  {
    name: 'a web address with its colon escaped',
    version: '3.0',
    lines: ['FN:Ada', 'URL;TYPE=WORK:https\\://quay.example/'],
    of: ({ links }) => values(links).map(({ uri, contexts }) => [uri, contexts]),
    is: [['https://quay.example/', { work: true }]],
  },
  {
    name: 'several nicknames in one line',
    version: '3.0',
    lines: ['FN:Ada', 'NICKNAME:Della,Ad'],
    of: ({ nicknames }) => values(nicknames).map(({ name }) => name),
    is: ['Della', 'Ad'],
  },
  {
    name: 'a chat address that has a property of its own is kept',
    version: '3.0',
    lines: ['FN:Ada', 'X-CHAT;TYPE=home:ada@chat.example'],
    of: kept,
    is: ['x-chat: ada@chat.example'],
  },
  {
    name: 'white space and small letters around the frame',
    version: '3.0',
    lines: ['fn: Ada ', 'tel;type=CELL : +447700900123'],
    of: (card) => [card.name?.full?.trim(), numbers(card)],
    is: ['Ada', ['+447700900123']],
  },
];

for (const { name, version, lines, of, is, problems = [] } of fixtures)
  test(name, () => {
    const result = read(...wrap(version, lines));
    expect(result.problems.map(({ code }) => code)).toEqual(problems);
    expect(result.cards).toHaveLength(1);
    expect(result.cards.map(of)).toEqual([is]);
  });

test('cards put together, each with a mark of its bytes at its head, are all read', () => {
  const one = (name: string) => `\ufeff${wrap('3.0', [`FN:${name}`]).join('\r\n')}\r\n`;
  const { cards, problems } = read(one('Ada'), one('Bo'), one('Cy'));
  expect([cards.map((card) => card.name?.full), problems]).toEqual([['Ada', 'Bo', 'Cy'], []]);
  // In windows-1252 too, where the marks are three letters.
  const latin = Uint8Array.from([
    ...[...encodeUtf8(one('Ada')), ...encodeUtf8('\ufeffBEGIN:VCARD\r\nVERSION:3.0\r\nFN:Bj')],
    ...[0xf6, ...encodeUtf8('rn\r\nEND:VCARD\r\n')],
  ]);
  expect(readVcard(latin).cards.map((card) => card.name?.full)).toEqual(['Ada', 'Björn']);
});

test('a broken card takes no other with it, wherever it breaks off', () => {
  const good = (name: string) => wrap('3.0', [`FN:${name}`]);
  const broken = [
    ['BEGIN:VCARD', 'VERSION:3.0', 'FN:No end'],
    ['BEGIN:VCARD', 'VERSION:2.1', 'N;ENCODING=QUOTED-PRINTABLE:a='],
    ['BEGIN:VCARD', 'VERSION:2.1', 'PHOTO;ENCODING=BASE64:AAAA'],
    ['BEGIN:VCARD', 'VERSION:3.0', 'TEL;TYPE="home:+44'],
    ['BEGIN:VCARD', 'VERSION:2.1', 'N:x', 'AGENT:'],
    ['FN:No beginning', 'END:VCARD'],
    ['BEGIN:VCARD', 'BEGIN:VCARD', ':x', ';;;'],
  ];
  for (const one of broken) {
    const lines = [...good('first'), ...Array.from({ length: 30 }, () => one).flat(), ...good('last')];
    const names = read(...lines).cards.map((card) => card.name?.full);
    expect(names).toEqual(expect.arrayContaining(['first', 'last']));
  }
});
