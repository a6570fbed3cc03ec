// Tables as programs and people write them; RFC 4180 for the syntax, headings by common practice.
import fc from 'fast-check';

import { encodeUtf8 } from '@/core/base';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { findFormat } from '../registry';
import { cellsOfCard } from './cells';
import { FIELDS, formatHeading, parseHeading } from './columns';
import { csv } from './csvFormat';
import { guessColumns } from './guessColumns';
import { readTable } from './readTable';

const tableOf = (...lines: string[]) => readTable(encodeUtf8(lines.join('\n')));
const guess = (...lines: string[]) => guessColumns(tableOf(...lines)).map(formatHeading);
const read = (...lines: string[]) => csv.read(encodeUtf8(lines.join('\r\n')));

const languages = [
  {
    name: 'English',
    line: 'First Name,Last Name,E-mail Address,Business Phone,Home Street,Home City,Mobile Phone,Company,Job Title,Notes',
    columns:
      'Given name|Surname|Mail|Phone (work)|Street (home)|Town (home)|Phone (mobile)|Organisation|Post|Note',
  },
  {
    name: 'German',
    line: 'Anrede;Vorname;Name;E-Mail-Adresse;Telefon geschäftlich;Handy;Straße;PLZ;Ort;Geburtstag',
    columns: 'Title|Given name|Surname|Mail|Phone (work)|Phone (mobile)|Street|Postcode|Town|Birthday',
  },
  {
    name: 'French',
    line: 'Prénom;Nom;Adresse e-mail;Téléphone portable;Société;Code postal;Ville;Date de naissance',
    columns: 'Given name|Surname|Mail|Phone (mobile)|Organisation|Postcode|Town|Birthday',
  },
  {
    name: 'Spanish',
    line: 'Nombre;Apellidos;Correo electrónico;Teléfono móvil;Empresa;Calle;Ciudad;País',
    columns: 'Given name|Surname|Mail|Phone (mobile)|Organisation|Street|Town|Country',
  },
  {
    name: 'Italian',
    line: 'Nome;Cognome;Posta elettronica;Cellulare;Azienda;Indirizzo;CAP;Città',
    columns: 'Given name|Surname|Mail|Phone (mobile)|Organisation|Street|Postcode|Town',
  },
  {
    name: 'Polish',
    line: 'Imię;Nazwisko;Telefon komórkowy;Firma;Ulica;Miasto;Kod pocztowy',
    columns: 'Given name|Surname|Phone (mobile)|Organisation|Street|Town|Postcode',
  },
  {
    name: 'Japanese',
    line: '姓,名,携帯電話,会社名,郵便番号',
    columns: 'Surname|Given name|Phone (mobile)|Organisation|Postcode',
  },
  {
    name: 'Russian',
    line: 'Фамилия;Имя;Отчество;Мобильный телефон;Организация',
    columns: 'Surname|Given name|Middle names|Phone (mobile)|Organisation',
  },
];
for (const { name, line, columns } of languages) {
  test(`headings in ${name} are known`, () => {
    const cells = line.split(/[,;]/).map(() => 'x');
    expect(guess(line, cells.join(line.includes(';') ? ';' : ',')).join('|')).toBe(columns);
  });
}

const syntaxes = [
  { name: 'semicolons', lines: ['Name;Mail', 'Ada;ada@example.org'], delimiter: ';' },
  { name: 'tabs', lines: ['Name\tMail', 'Ada\tada@example.org'], delimiter: '\t' },
  { name: 'bars', lines: ['Name|Mail', 'Ada|ada@example.org'], delimiter: '|' },
  { name: 'single quotes', lines: ["'Name','Mail'", "'Ada, B.','ada@example.org'"], delimiter: ',' },
];
for (const { name, lines, delimiter } of syntaxes) {
  test(`a table with ${name} is read`, () => {
    const table = tableOf(...lines);
    expect(table.delimiter).toBe(delimiter);
    expect(csv.read(encodeUtf8(lines.join('\n'))).cards[0]?.emails).toEqual({
      e1: { address: 'ada@example.org' },
    });
    expect(findFormat(encodeUtf8(lines.join('\n')))?.id).toBe('csv');
  });
}

test('RFC 4180 §2: quotes, doubled quotes, commas and line breaks in a cell', () => {
  const { cards, problems } = read('Name,Note', '"Ek, Bo","said ""yes""\r\nand left"', 'Ada,x');
  expect(problems).toEqual([]);
  expect(cards.map((card) => card.notes)).toEqual([
    { o1: { note: 'said "yes"\nand left' } },
    { o1: { note: 'x' } },
  ]);
});

test('windows-1252 and UTF-16 are found out', () => {
  const text = 'Name;Ort\nZoë;Malmö';
  const latin = Uint8Array.from(text, (char) => char.charCodeAt(0));
  const wide = Uint8Array.from([0xff, 0xfe, ...[...text].flatMap((char) => [char.charCodeAt(0), 0])]);
  for (const [bytes, encoding] of [
    [latin, 'windows-1252'],
    [wide, 'UTF-16'],
  ] as const) {
    expect(readTable(bytes).encoding).toBe(encoding);
    expect(csv.read(bytes).cards[0]?.addresses?.['a1']?.components).toEqual([
      { kind: 'locality', value: 'Malmö' },
    ]);
  }
});

test('a title above the headings is reported, not taken for them', () => {
  const { cards, problems } = read('Patrons of the year', '', 'Name,Mail', 'Ada,ada@example.org');
  expect(cards).toHaveLength(1);
  expect(problems).toEqual([
    expect.objectContaining({ code: 'outside-card', line: 1, text: 'Patrons of the year' }),
  ]);
});

test('a heading “Title” is what stands below it: the form of address, or else the post', () => {
  expect(guess('Title,Name', 'Dr.,Ada Lowther', ',Bo Ek', 'Ms,Cleo Ray')).toEqual(['Title', 'Shown as']);
  expect(guess('Name;Titel', 'Ada Lowther;Kantorin', 'Bo Ek;Prof.', 'Cleo Ray;Notenwartin')).toEqual([
    'Shown as',
    'Post',
  ]);
  // Beside a column for the post it is a second one.
  expect(guess('Name,Title,Job title', 'Ada Lowther,Alto,Nurse')).toEqual(['Shown as', 'Post', 'Post 2']);
  // Our own tables mean the form of address, whatever stands there.
  expect(guess('Shown as,Title', 'Ada Lowther,Cantor')).toEqual(['Shown as', 'Title']);
  // An empty column says nothing, and stays with the first meaning.
  expect(guess('Name,Title', 'Ada Lowther,')).toEqual(['Shown as', 'Title']);
});

test('without headings the contents tell', () => {
  expect(
    guess(
      'Ada Lowther,ada@example.org,+44 20 7946 0958,1968-02-03',
      'Bo Ek,bo@example.org,020 7946 0000,1970-01-01',
    ),
  ).toEqual(['Shown as', 'Mail', 'Phone', 'Birthday']);
});

test('headings in a language nobody knows are headings all the same, and their columns go by contents', () => {
  expect(guess('Barua,Saizi', 'ada@example.org,12', 'bo@example.org,13')).toEqual([
    'Mail',
    'Own field (Saizi)',
  ]);
});

test('a column nobody understands is kept as a field of one’s own', () => {
  expect(read('Name,Shoe size', 'Ada,39').cards[0]?.['cordialis.example:fields']).toEqual({
    f1: { label: 'Shoe size', value: '39' },
  });
});

test('several columns of one kind are several values', () => {
  const { cards } = read(
    'Name,Phone 1,Phone 2,Phone 3,E-mail 1,E-mail 2',
    'Ada,1,2,3,a@example.org,b@example.org',
  );
  expect(Object.values(cards[0]?.phones ?? {}).map(({ number }) => number)).toEqual(['1', '2', '3']);
  expect(Object.values(cards[0]?.emails ?? {})).toHaveLength(2);
});

test('the parts of two addresses don’t mix', () => {
  const { cards } = read(
    'Name,Home Street,Home City,Business Street,Business City,Business Country',
    'Ada,Quay 1,Wexmere,Hall 2,Bregno,Norway',
  );
  expect(cards[0]?.addresses).toEqual({
    a1: {
      contexts: { private: true },
      components: [
        { kind: 'name', value: 'Quay 1' },
        { kind: 'locality', value: 'Wexmere' },
      ],
    },
    a2: {
      contexts: { work: true },
      components: [
        { kind: 'name', value: 'Hall 2' },
        { kind: 'locality', value: 'Bregno' },
        { kind: 'country', value: 'Norway' },
      ],
      countryCode: 'NO',
    },
  });
});

const orders = [
  { name: 'day first where nothing tells', cells: ['03/02/1968', '05/06/1970'], month: 2 },
  { name: 'month first where a second figure is above 12', cells: ['03/02/1968', '05/26/1970'], month: 3 },
  { name: 'day first where a first figure is above 12', cells: ['03/02/1968', '26/05/1970'], month: 2 },
];
for (const { name, cells, month } of orders) {
  test(`dates in figures are read ${name}`, () => {
    const { cards, problems } = read('Name,Birthday', ...cells.map((cell, i) => `N${i},${cell}`));
    expect(problems).toEqual([]);
    expect(cards[0]?.anniversaries?.['d1']?.date).toMatchObject({ year: 1968, month });
  });
}

test('a date that is none is reported with its line and kept', () => {
  const { cards, problems } = read('Name,Birthday', 'Ada,31.02.1968', 'Bo,1.2.1970');
  expect(problems).toEqual([
    expect.objectContaining({ code: 'unreadable-value', line: 2, text: '31.02.1968' }),
  ]);
  expect(cards[0]?.['cordialis.example:fields']).toEqual({ f1: { label: 'Birthday', value: '31.02.1968' } });
});

test('an empty row is passed over, one that says nothing of anybody is reported', () => {
  const { cards, problems } = read('Name,Kind', ',', 'Ada,', ',org');
  expect(cards).toHaveLength(1);
  expect(problems).toEqual([expect.objectContaining({ code: 'empty-card', line: 4 })]);
});

test('the same row gives the same uid, another row another', () => {
  const uids = () => read('Name,Mail', 'Ada,a@example.org', 'Bo,b@example.org').cards.map(({ uid }) => uid);
  expect(uids()).toEqual(uids());
  expect(new Set(uids()).size).toBe(2);
});

test('every heading of ours is read back as its column', () => {
  expect(FIELDS.length).toBeGreaterThan(30);
  for (const { id } of FIELDS) {
    for (const column of [
      { field: id, label: '', number: 1 },
      { field: id, label: 'work mobile', number: 3 },
    ])
      expect(parseHeading(formatHeading(column))).toEqual(column);
  }
});

/** The cells of a card by heading, as a spreadsheet shows them. */
const cellTexts = (card: Parameters<typeof cellsOfCard>[0]) =>
  cellsOfCard(card).map(
    ({ column, value }) => `${formatHeading(column)}: ${value.trim().replace(/\r\n?/g, '\n')}`,
  );

test('law: a card written as a table and read again has the same values in the same columns', () => {
  fc.assert(
    fc.property(arbitraryCard, (card) => {
      const [once] = csv.read(encodeUtf8(csv.write([card]))).cards;
      if (!once) return;
      const [twice] = csv.read(encodeUtf8(csv.write([once]))).cards;
      expect(twice).toBeDefined();
      if (twice) expect(cellTexts(twice)).toEqual(cellTexts(once));
    }),
    { numRuns: 150, endOnFailure: true },
  );
});

test('what an ordinary card says comes back from a table whole', () => {
  const card = {
    '@type': 'Card' as const,
    version: '1.0' as const,
    uid: 'urn:uuid:1',
    name: {
      components: [
        { kind: 'given', value: 'Ada' },
        { kind: 'surname', value: 'Lowther' },
      ],
    },
    organizations: { g1: { name: 'Harbour Hall', units: [{ name: 'Stage' }] } },
    titles: { t1: { name: 'Head', kind: 'title' } },
    phones: {
      p1: {
        number: '+44 20 7946 0958',
        contexts: { work: true as const },
        features: { mobile: true as const },
      },
    },
    emails: { e1: { address: 'ada@example.org', contexts: { private: true as const } } },
    anniversaries: { d1: { kind: 'birth', date: { month: 2, day: 3 } } },
    keywords: { patron: true as const, press: true as const },
    notes: { o1: { note: 'two\nlines' } },
    'cordialis.example:fields': { f1: { label: 'Shoe size', value: '39' } },
  };
  expect(csv.read(encodeUtf8(csv.write([card])))).toEqual({ cards: [card], problems: [] });
});

test('chosen columns are written in the order chosen', () => {
  const { cards } = read('Name,Mail,Phone', 'Ada,ada@example.org,123456');
  expect(csv.write(cards, { columns: ['Mail', 'Shown as'] })).toBe(
    '\ufeffMail,Shown as\r\nada@example.org,Ada\r\n',
  );
});

test('cut and mutated tables never throw', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (text) => {
      const bytes = encodeUtf8(`Name,Mail\n${text}`);
      expect(Array.isArray(csv.read(bytes).cards)).toBe(true);
    }),
    { numRuns: 300 },
  );
});
