// Other programs' readers and writers: Debian's python3-vobject and php-sabre-vobject, npm's vcf. What we write they
// read value for value, and the other way round; the demo's book, in a dozen scripts, is what goes to and fro.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

import Vcf from 'vcf';

import { encodeUtf8 } from '@/core/base';
import { type Card, formatName, nameParts } from '@/core/card';
import { getFormat } from '@/core/formats';
import { generateBook } from '@/demo';

const PEERS = join(__dirname, '../peers');

interface PeerCard {
  readonly fn: string;
  readonly n: Record<string, string> | null;
  readonly tel: string[];
  readonly email: string[];
  readonly note: string[];
  readonly org: string[][];
  readonly adr: Record<string, string>[];
  readonly bday: string | null;
}

interface Peer {
  readonly name: string;
  readonly command: readonly string[];
  readonly versions: readonly ('vcard3' | 'vcard4')[];
}

const peers: readonly Peer[] = [
  {
    name: 'python3-vobject',
    command: ['/usr/bin/python3', join(PEERS, 'readWriteVobject.py')],
    versions: ['vcard3'],
  },
  {
    name: 'php-sabre-vobject',
    command: ['php', join(PEERS, 'readWriteSabre.php')],
    versions: ['vcard3', 'vcard4'],
  },
];

function ask(peer: Peer, request: object): unknown {
  const [program = '', ...args] = peer.command;
  const { stdout, stderr, status } = spawnSync(program, args, {
    input: JSON.stringify(request),
    encoding: 'utf8',
    maxBuffer: 64e6,
    env: { ...process.env, PYTHONIOENCODING: 'utf-8' },
  });
  if (status !== 0) throw new Error(`${peer.name}: ${stderr}`);
  return JSON.parse(stdout);
}

function isInstalled(peer: Peer): boolean {
  const [program = '', ...args] = peer.command;
  return spawnSync(program, args, { input: '{"mode":"read","text":""}' }).status === 0;
}

const write = (id: string, cards: readonly Card[]) =>
  getFormat(id)?.write(cards, { extensions: false }) ?? '';
const book = generateBook('2026-11-24').filter(({ kind }) => kind !== 'group');

test('there is a book to send', () => expect(book.length).toBeGreaterThan(200));

for (const peer of peers) {
  const isHere = isInstalled(peer);
  // On a machine of somebody who may not install Debian's packages the rest of the tests is still worth running.
  const when = isHere || process.env['CI'] ? test : test.skip;

  for (const version of peer.versions) {
    when(`${peer.name} reads our ${version} value for value`, () => {
      const read = ask(peer, { mode: 'read', text: write(version, book) }) as PeerCard[];
      expect(read).toHaveLength(book.length);
      for (const [i, card] of book.entries()) {
        const theirs = read[i];
        const full = formatName(card.name);
        if (full !== '') expect(theirs?.fn).toBe(full);
        expect(theirs?.tel).toEqual(Object.values(card.phones ?? {}).map(({ number }) => number));
        expect(theirs?.email).toEqual(Object.values(card.emails ?? {}).map(({ address }) => address));
        expect(theirs?.note).toEqual(Object.values(card.notes ?? {}).map(({ note }) => note));
        expect(theirs?.org.map(([name]) => name)).toEqual(
          Object.values(card.organizations ?? {}).map(({ name }) => name),
        );
        if (theirs?.n && card.name?.components) expect(theirs.n['given']).toBe(nameParts(card.name, 'given'));
        const towns = Object.values(card.addresses ?? {}).map(({ components = [] }) =>
          components
            .filter(({ kind }) => kind === 'locality')
            .map(({ value }) => value)
            .join(' '),
        );
        expect(theirs?.adr.map(({ city }) => city)).toEqual(towns);
      }
    });

    when(`we read what ${peer.name} writes as ${version}, value for value`, () => {
      const values = hardValues();
      const text = ask(peer, {
        mode: 'write',
        values,
        version: version === 'vcard3' ? '3.0' : '4.0',
      }) as string;
      const { cards, problems } = getFormat(version)?.read?.(encodeUtf8(text)) ?? { cards: [], problems: [] };
      expect(problems).toEqual([]);
      expect(cards).toHaveLength(values.length);
      for (const [i, value] of values.entries()) expect(asValue(cards[i])).toEqual(value);
    });
  }
}

/** Values that syntaxes stumble over. */
function hardValues() {
  const value = (fn: string, note: string, family: string, given: string) => ({
    fn,
    n: { family, given, additional: 'M', prefix: 'Dr.', suffix: '' },
    tel: ['+44 20 7946 0958'],
    email: ['ada@example.org'],
    note: [note],
    org: [['Brine & Bellows, Ltd; Organs', 'Pipes; reeds']],
    adr: [
      {
        box: '',
        extended: '',
        street: '7 Pier Road, by the light; left',
        city: 'Wexmere',
        region: '',
        code: 'WX1 2AB',
        country: 'Norway',
      },
    ],
  });
  return [
    value('Ada Lowther', 'one, two; three\nfour \\ five: "six"', 'Lowther', 'Ada'),
    value('田中 陽子', '長い'.repeat(60), '田中', '陽子'),
    value('Łucja Żak-Ó Briain', `${'é'.repeat(40)} ${'x'.repeat(100)}`, 'Żak-Ó Briain', 'Łucja'),
    value('محمد الفارسي', 'نص\nطويل', 'الفارسي', 'محمد'),
  ];
}

function asValue(card: Card | undefined) {
  const place = (kind: string) =>
    (card?.addresses?.['a1']?.components ?? [])
      .filter((one) => one.kind === kind)
      .map(({ value }) => value)
      .join(', ');
  return {
    fn: formatName(card?.name),
    n: {
      family: nameParts(card?.name, 'surname'),
      given: nameParts(card?.name, 'given'),
      additional: nameParts(card?.name, 'given2'),
      prefix: nameParts(card?.name, 'title'),
      suffix: nameParts(card?.name, 'credential'),
    },
    tel: Object.values(card?.phones ?? {}).map(({ number }) => number),
    email: Object.values(card?.emails ?? {}).map(({ address }) => address),
    note: Object.values(card?.notes ?? {}).map(({ note }) => note),
    org: Object.values(card?.organizations ?? {}).map(({ name, units = [] }) => [
      name,
      ...units.map((unit) => unit.name),
    ]),
    adr: [
      {
        box: place('postOfficeBox'),
        extended: place('apartment'),
        street: place('name'),
        city: place('locality'),
        region: place('region'),
        code: place('postcode'),
        country: place('country'),
      },
    ],
  };
}

test('npm’s vcf reads our vCard 3.0: every name, number and mail address', () => {
  // It unescapes nothing and knows one card at a time, so plain values are compared, card by card.
  const valuesOf = (card: Vcf, name: string): string[] => {
    const property = card.get(name) as Vcf.Property | Vcf.Property[] | undefined;
    if (property === undefined) return [];
    return (Array.isArray(property) ? property : [property]).map((one) => one.valueOf());
  };
  let compared = 0;
  for (const card of book) {
    const [theirs] = Vcf.parse(write('vcard3', [card]));
    const mails = Object.values(card.emails ?? {}).map(({ address }) => address);
    if (!theirs) throw new Error('nothing was read');
    expect(valuesOf(theirs, 'email')).toEqual(mails);
    expect(valuesOf(theirs, 'tel')).toEqual(Object.values(card.phones ?? {}).map(({ number }) => number));
    compared += mails.length;
  }
  expect(compared).toBeGreaterThan(150);
});

test('we read what npm’s vcf writes', () => {
  const card = new Vcf();
  card.set('fn', 'Łucja Żak');
  card.set('tel', '+44 20 7946 0958', { type: 'work' });
  card.add('tel', '+44 7700 900123', { type: 'cell' });
  card.set('note', 'x'.repeat(200));
  const { cards, problems } = getFormat('vcard4')?.read?.(encodeUtf8(card.toString('4.0'))) ?? {
    cards: [],
    problems: [],
  };
  expect(problems).toEqual([]);
  expect(cards[0]).toMatchObject({
    name: { full: 'Łucja Żak' },
    phones: {
      p1: { number: '+44 20 7946 0958', contexts: { work: true } },
      p2: { number: '+44 7700 900123', features: { mobile: true } },
    },
  });
  expect(Object.values(cards[0]?.notes ?? {})[0]?.note).toBe('x'.repeat(200));
});
