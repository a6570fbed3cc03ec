// The command line as a person calls it: its own process, one JSON value on stdout, one line on stderr for bad input.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');
const folder = mkdtempSync(join(tmpdir(), 'cordialis-cli-'));
const at = (name: string) => join(folder, name);

/** The program as `npm run -s book` runs it, built where a source has changed. */
const program = join(ROOT, 'scripts/book.mjs');

function book(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [program, ...args], {
    cwd: folder,
    encoding: 'utf8',
    env: { ...process.env, INIT_CWD: folder },
  });
  return { status, stderr, value: stdout === '' ? undefined : (JSON.parse(stdout) as unknown) };
}

const VCARD = [
  'BEGIN:VCARD',
  'VERSION:3.0',
  'UID:a',
  'FN:Ada Lowther',
  'N:Lowther;Ada;;;',
  'no property',
  'END:VCARD',
  'BEGIN:VCARD',
  'VERSION:3.0',
  'UID:b',
  'FN:Bo Ek',
  'ADR:;;;Wexmere;;;',
  'BDAY:1990-12-01',
  'END:VCARD',
  '',
];
beforeAll(() => {
  writeFileSync(at('in.vcf'), VCARD.join('\r\n'));
  writeFileSync(at('words.txt'), 'only words');
});

test('convert reads by contents, writes by the ending, and reports each fault with its line', () => {
  const { status, value } = book('convert', 'in.vcf', 'out.json');
  expect(status).toBe(0);
  expect(value).toEqual({
    read: 2,
    written: 2,
    problems: [{ line: 6, message: expect.stringContaining('no property') as unknown }],
  });
  const cards = JSON.parse(readFileSync(at('out.json'), 'utf8')) as { uid: string }[];
  expect(cards.map(({ uid }) => uid)).toEqual(['a', 'b']);
});

test('convert goes there and back without a difference', () => {
  book('convert', 'in.vcf', 'one.json');
  for (const format of ['vcard3', 'vcard4', 'jscontact', 'jcard']) {
    book('convert', 'one.json', `there.${format}`, '--to', format);
    book('convert', `there.${format}`, 'back.json');
    expect(JSON.parse(readFileSync(at('back.json'), 'utf8'))).toEqual(
      JSON.parse(readFileSync(at('one.json'), 'utf8')),
    );
  }
});

test('convert writes a table and a calendar, and reads the table back', () => {
  expect(book('convert', 'in.vcf', 'out.csv').value).toMatchObject({ written: 2 });
  expect(readFileSync(at('out.csv'), 'utf8')).toContain('Ada Lowther');
  book('convert', 'out.csv', 'table.json');
  expect(JSON.parse(readFileSync(at('table.json'), 'utf8'))).toMatchObject([{ uid: 'a' }, { uid: 'b' }]);
  expect(book('convert', 'in.vcf', 'out.ics').status).toBe(0);
  expect(readFileSync(at('out.ics'), 'utf8')).toContain('SUMMARY:Bo Ek: birthday (1990)');
});

test('from-text reads a card out of a signature, numbers in E.164', () => {
  writeFileSync(
    at('sign.txt'),
    'Regards\n\nAda Lowther\nLowther Pianos Ltd\nT 020 7946 0123\nada@lowther.example\n',
  );
  const { value, status } = book('from-text', 'sign.txt', '--country', 'gb');
  expect(status).toBe(0);
  expect(value).toMatchObject({
    '@type': 'Card',
    name: { components: [{ value: 'Ada' }, { value: 'Lowther' }] },
    organizations: { g1: { name: 'Lowther Pianos Ltd' } },
    phones: { p1: { number: '+442079460123' } },
    emails: { e1: { address: 'ada@lowther.example' } },
  });
});

test('merge puts together what two sides have made of a card, and says what is to settle', () => {
  const card = (email: string, more: object) =>
    JSON.stringify([
      {
        '@type': 'Card',
        version: '1.0',
        uid: 'u',
        name: { full: 'Ada' },
        emails: { e1: { address: email } },
        ...more,
      },
    ]);
  writeFileSync(at('base.json'), card('a@example.org', {}));
  writeFileSync(at('mine.json'), card('b@example.org', { keywords: { choir: true } }));
  writeFileSync(at('theirs.json'), card('c@example.org', { notes: { o1: { note: 'Alto' } } }));
  expect(book('merge', 'base.json', 'mine.json', 'theirs.json').value).toEqual({
    card: expect.objectContaining({
      uid: 'u',
      emails: { e1: { address: 'b@example.org' } },
      keywords: { choir: true },
      notes: { o1: { note: 'Alto' } },
    }),
    conflicts: [
      { path: 'emails/e1/address', base: 'a@example.org', mine: 'b@example.org', theirs: 'c@example.org' },
    ],
  });
});

test('upcoming gives the days of a window, nearest first', () => {
  expect(book('upcoming', 'in.vcf', '--from', '2026-11-25', '--days', '30').value).toEqual([
    { uid: 'b', kind: 'birth', date: '2026-12-01', years: 36, daysAway: 6 },
  ]);
  expect(book('upcoming', 'in.vcf', '--days', '5', '--from', '2026-11-25').value).toEqual([]);
});

test('search gives uids, best first', () => {
  expect(book('search', 'in.vcf', 'wex').value).toEqual(['b']);
  expect(book('search', 'in.vcf', 'low ad').value).toEqual(['a']);
  expect(book('search', 'in.vcf', 'nobody').value).toEqual([]);
});

test('line says what a sentence means on a book: whom, what, in words, and what else it could be', () => {
  const cards = [
    ['a', 'Ada Lowther'],
    ['b', 'Ada Quill'],
    ['c', 'Götz Brandt'],
  ].map(([uid, full]) => ({ '@type': 'Card', version: '1.0', uid, name: { full } }));
  writeFileSync(at('line.json'), JSON.stringify(cards));
  const talks = [{ id: 't', kind: 'meeting', day: '2026-11-01', direction: 'out', with: ['c'], said: '' }];
  writeFileSync(at('talks.json'), JSON.stringify(talks));
  expect(book('line', 'line.json', 'tag götz choir', '--today', '2026-11-25').value).toMatchObject({
    ...{ need: 'fill', uids: ['c'], values: [{ field: 'tag', value: 'choir' }], limits: [] },
    says: 'Götz Brandt: tag choir',
  });
  const tie = book('line', 'line.json', 'call ada', '--today', '2026-11-25').value as {
    score: number;
    uids: string[];
    others: { score: number; uids: string[] }[];
  };
  expect([tie.uids, tie.others[0]?.uids]).toEqual([['a'], ['b']]);
  expect(tie.others[0]?.score).toBe(tie.score);
  const met = ['line', 'line.json', 'never met', '--today', '2026-11-25'];
  expect((book(...met).value as { uids: string[] }).uids.toSorted()).toEqual(['a', 'b', 'c']);
  expect((book(...met, '--talks', 'talks.json').value as { uids: string[] }).uids.toSorted()).toEqual([
    'a',
    'b',
  ]);
  expect(book('line', 'line.json', '').value).toMatchObject({ need: 'none', uids: [], others: [] });
});

test('search and line know where towns are, though no card says it', () => {
  const cards = [
    ['a', 'Ada Lowther', 'Bergen'],
    ['b', 'Bo Quill', 'Oslo'],
  ].map(([uid, full, name]) => ({
    ...{ '@type': 'Card', version: '1.0', uid, name: { full } },
    addresses: { a: { components: [{ kind: 'locality', value: name }], countryCode: 'NO' } },
  }));
  writeFileSync(at('towns.json'), JSON.stringify(cards));
  // Askøy lies beside Bergen.
  expect(book('search', 'towns.json', 'within 30 km of Askøy').value).toEqual(['a']);
  expect(book('line', 'towns.json', 'people near Askøy').value).toMatchObject({ need: 'find', uids: ['a'] });
});

test('duplicates names the cards that are the same, how sure it is, and why', () => {
  book('convert', 'in.vcf', 'known.json');
  const cards = JSON.parse(readFileSync(at('known.json'), 'utf8')) as { uid: string }[];
  writeFileSync(
    at('twice.json'),
    JSON.stringify([...cards, ...cards.map((card) => ({ ...card, uid: `${card.uid}2` }))]),
  );
  const { clusters } = book('duplicates', 'twice.json').value as {
    clusters: { uids: string[]; score: number; reasons: string[] }[];
  };
  expect(clusters.map(({ uids }) => uids).sort()).toEqual([
    ['a', 'a2'],
    ['b', 'b2'],
  ]);
  for (const { score, reasons } of clusters) {
    expect(score).toBeGreaterThan(0.6);
    expect(reasons).toContain('same name');
  }
  expect(book('duplicates', 'in.vcf').value).toEqual({ clusters: [] });
});

const faults = [
  {
    name: 'an unknown verb',
    args: ['dance'],
    says: /usage: book convert\|duplicates\|from-text\|line\|merge\|search/,
  },
  { name: 'no verb at all', args: [], says: /usage/ },
  { name: 'a missing file', args: ['convert', 'gone.vcf', 'x.vcf'], says: /gone\.vcf/ },
  {
    name: 'a file without cards',
    args: ['search', 'words.txt', 'a'],
    says: /words\.txt: no cards were found/,
  },
  {
    name: 'an unknown format',
    args: ['convert', 'in.vcf', 'x', '--to', 'papyrus'],
    says: /papyrus: no format.*vcard4/,
  },
  {
    name: 'a day the calendar has not',
    args: ['upcoming', 'in.vcf', '--from', '2026-02-30', '--days', '3'],
    says: /--from "2026-02-30": is no day/,
  },
  {
    name: 'a missing window',
    args: ['upcoming', 'in.vcf', '--from', '2026-02-03'],
    says: /usage: book upcoming IN --from YYYY-MM-DD --days N/,
  },
  {
    name: 'a folder that isn’t there',
    args: ['convert', 'in.vcf', 'nowhere/out.json'],
    says: /nowhere\/out\.json: there is no such file or folder/,
  },
  {
    name: 'an unknown option',
    args: ['duplicates', 'in.vcf', '--threads', '2'],
    says: /'--threads'.*usage: book dup/,
  },
  {
    name: 'an option without a value',
    args: ['search', 'in.vcf', 'a', '--today'],
    says: /--today.*usage: book search/,
  },
  {
    name: 'one file too many',
    args: ['duplicates', 'in.vcf', 'x.vcf'],
    says: /"x\.vcf" is one too many; usage/,
  },
  { name: 'a folder for a file', args: ['search', '.', 'a'], says: /^\.: is a folder, not a file/ },
  {
    name: 'a country that is none',
    args: ['duplicates', 'in.vcf', '--country', 'Wales'],
    says: /--country takes two/,
  },
  { name: 'a missing argument', args: ['convert', 'in.vcf'], says: /usage: book convert IN OUT/ },
];
for (const { name, args, says } of faults) {
  test(`${name} ends with exit 2 and one line that says so`, () => {
    const { status, stderr, value } = book(...args);
    expect([status, value]).toEqual([2, undefined]);
    expect(stderr).toMatch(says);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
}
