// Figures of the core: reading vCards against ical.js alone, in time and memory, and finding. Prints one JSON value.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import ICAL from 'ical.js';

import { addDays, encodeUtf8 } from '@/core/base';
import { type Card, formatPhone } from '@/core/card';
import { findCards, SearchIndex, toSearchDoc } from '@/core/find';
import { getFormat } from '@/core/formats';
import { mergeThree } from '@/core/sync';
import {
  DayBook,
  MailSplitter,
  MonthBuffers,
  rankCloseness,
  readMailHead,
  summarise,
  type Talk,
  toCorrespondence,
} from '@/core/talks';
import { duplicateFacts, groupDuplicates, mergeCards } from '@/core/tidy';
import { pairKey } from '@/core/tidy/duplicates/groupDuplicates';
import { Dice, duplicateOf, generateLargeBook } from '@/demo';

import { pairsOf } from '../../test/people/scoreClusters';

/** Queries as they grow while somebody types; each prefix of each is one keystroke. */
const QUERIES = [
  'lindqvist',
  'got acht',
  'mar por',
  'harbour',
  'tuner gdy',
  '0163',
  '+44 7700',
  'yoko',
  'müller',
  'o',
];

/** Ten cards of one person, each with something of its own, made one. */
function mergeTenMs(): number {
  const book = generateLargeBook(2000);
  const dice = new Dice(10);
  const first = book.find(({ kind = 'individual' }) => kind === 'individual');
  if (!first) throw new Error('nobody is in the book');
  const others = Array.from({ length: 9 }, (_, i) => ({
    ...duplicateOf(first, dice),
    ...{ uid: `duplicate-${i}`, notes: { o1: { note: `What the card ${i} says.` } } },
  }));
  const all: [Card, ...Card[]] = [first, ...others];
  return Number(leastOf(21, () => void mergeCards(all, { country: 'GB' })).toFixed(1));
}

/** Cards of a book, each changed on both sides: a number rewritten as at home, a note in other lines, one number more. */
function mergeThreeMs(count: number): number {
  const base = generateLargeBook(count);
  const noted = (card: Card, note: string): Card => ({ ...card, notes: { o1: { note } } });
  const lines = ['Plays the viola.', 'Lives by the quay.', 'Calls on Sundays.'];
  const threes = base.map((card) => {
    const was = noted(card, lines.join('\n'));
    const phones = Object.entries(card.phones ?? {}).map(
      ([id, phone]) => [id, { ...phone, number: formatPhone(phone.number, 'GB') }] as const,
    );
    const mine = noted(
      { ...card, phones: Object.fromEntries(phones) },
      ['Viola.', ...lines.slice(1)].join('\n'),
    );
    const theirs = noted(
      { ...card, phones: { ...card.phones, x1: { number: '+44 7700 900999' } } },
      [...lines, 'Has a boat.'].join('\n'),
    );
    return { was, mine, theirs };
  });
  const merge = () => {
    for (const { was, mine, theirs } of threes) mergeThree(was, mine, theirs, { country: 'GB' });
  };
  return Math.round(leastOf(3, merge));
}

/** Milliseconds that some work takes, the least of several runs: the rest is what else the machine does. */
function leastOf(runs: number, work: () => void): number {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < runs; i += 1) {
    const started = performance.now();
    work();
    least = Math.min(least, performance.now() - started);
  }
  return least;
}

function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
}

function readFigures(size: number, runs = 11) {
  const vcard = getFormat('vcard4');
  if (!vcard?.read) throw new Error('vCard 4.0 is not in the registry');
  const { read } = vcard;
  const text = vcard.write(generateLargeBook(size), { extensions: false });
  const bytes = encodeUtf8(text);
  // In turns, and the middle of the ratios: what else the machine does then meets both alike.
  const rounds = Array.from({ length: runs }, () => {
    const ours = leastOf(1, () => {
      const { cards } = read(bytes);
      if (cards.length !== size) throw new Error(`${cards.length} of ${size} cards were read`);
    });
    return { ours, theirs: leastOf(1, () => void ICAL.parse(text)) };
  });
  const middle = (values: number[]) => percentile(values, 0.5);
  return {
    size,
    readMs: Math.round(middle(rounds.map(({ ours }) => ours))),
    icalMs: Math.round(middle(rounds.map(({ theirs }) => theirs))),
    ratio: Number(middle(rounds.map(({ ours, theirs }) => ours / theirs)).toFixed(2)),
  };
}

function searchFigures(size: number) {
  const index = new SearchIndex();
  const docs = generateLargeBook(size).map((card) => toSearchDoc(card, 'GB'));
  const buildMs = leastOf(1, () => docs.forEach((doc) => index.add(doc)));
  index.putTalks(summariesOf(generateLargeBook(size)));
  const keystrokes: number[] = [];
  for (let round = 0; round < 5; round += 1) {
    for (const query of QUERIES) {
      for (let end = 1; end <= query.length; end += 1) {
        keystrokes.push(
          leastOf(1, () => void findCards(index, query.slice(0, end), { limit: 30, today: '2026-11-24' })),
        );
      }
    }
  }
  return {
    size,
    buildMs: Math.round(buildMs),
    keystrokeP95Ms: Number(percentile(keystrokes, 0.95).toFixed(2)),
    keystrokes: keystrokes.length,
  };
}

/** A few talks with every second card, as a book has them after some years. */
function summariesOf(cards: readonly Card[]) {
  return cards.flatMap(({ uid }, i) => {
    const talks = Array.from({ length: 1 + (i % 12) }, (_, n): Talk => {
      const day = addDays('2026-11-24', -(3 + ((i * 37 + n * 61) % 900)));
      return {
        id: `${i}-${n}`,
        kind: n % 2 === 0 ? 'call' : 'mail',
        day,
        direction: 'out',
        with: [uid],
        said: '',
      };
    });
    return i % 2 === 0 ? [[uid, summarise(talks)] as const] : [];
  });
}

/** Working out what a day asks for, closeness included. */
function todayFigures(size: number) {
  const cards = generateLargeBook(size);
  const summaries = new Map(summariesOf(cards));
  const known = new Map([...summaries].flatMap(([uid, summary]) => (summary ? [[uid, summary]] : [])));
  const days = new DayBook({
    summaries: known,
    closeness: (today) => rankCloseness(known, today),
    membersOf: () => [],
  });
  days.put(cards, []);
  const planMs = leastOf(60, () => {
    days.plan({ today: '2026-11-24', leapDay: 'february-28', quietCount: 4, ahead: 28 });
  });
  return { size, planMs: Number(planMs.toFixed(1)) };
}

/** Finding duplicates in a book of which every tenth card has one; what is found is held against what is known. */
function duplicateFigures(size: number) {
  const dice = new Dice(99);
  const book = generateLargeBook(size - Math.floor(size / 11));
  const duplicates = book.filter((_, i) => i % 10 === 0).map((card) => duplicateOf(card, dice));
  const truth = new Set(duplicates.map(({ uid }) => pairKey(uid, uid.replace('-duplicate', ''))));
  const start = performance.now();
  const found = groupDuplicates([...book, ...duplicates].map((card) => duplicateFacts(card)));
  const ms = performance.now() - start;
  const pairs = pairsOf(found).map(([a, b]) => pairKey(a, b));
  const right = pairs.filter((pair) => truth.has(pair)).length;
  return {
    size,
    ms: Math.round(ms),
    precision: Number((right / pairs.length).toFixed(4)),
    recall: Number((right / truth.size).toFixed(4)),
  };
}

/** Reading a mailbox of many messages as talks, as the worker does: the stream is made as it is read. */
function mailFigures(messages: number) {
  const toOctets = new TextEncoder();
  const buffers = new MonthBuffers();
  const matcher = {
    own: new Set(['me@example.org']),
    uidsOf: (address: string) => (address.startsWith('person') ? [address] : []),
    toOwnMoment: (ms: number) => ({ day: new Date(ms).toISOString().slice(0, 10), time: '10:00' }),
    intake: 'x',
  };
  let read = 0;
  let given = 0;
  let maxHeapMb = 0;
  const splitter = new MailSplitter({
    withBodies: false,
    onMail: (part) => {
      const head = readMailHead(part.head);
      if (!head) return;
      read += 1;
      buffers.add(toCorrespondence(head, matcher).talk);
      if (buffers.isFull) for (const [, talks] of buffers.take()) given += talks.length;
      if (read % 50_000 === 0) globalThis.gc?.();
      if (read % 50_000 === 0) maxHeapMb = Math.max(maxHeapMb, process.memoryUsage().heapUsed / 1e6);
    },
  });
  globalThis.gc?.();
  const idleMb = process.memoryUsage().heapUsed / 1e6;
  const start = performance.now();
  for (let i = 0; i < messages; i += 500) {
    const piece = Array.from({ length: 500 }, (_, k) => mailText(i + k, messages));
    splitter.push(toOctets.encode(piece.join('')));
  }
  splitter.end();
  for (const [, talks] of buffers.take(true)) given += talks.length;
  if (read !== messages || given !== messages) throw new Error(`${read} read, ${given} given`);
  const perThousandMs = ((performance.now() - start) / messages) * 1000;
  return {
    messages,
    perThousandMs: Number(perThousandMs.toFixed(1)),
    heapMb: Math.round(maxHeapMb - idleMb),
  };
}

/** A message with a body of about 2 kB; over 18 years, in no order. */
function mailText(index: number, messages: number): string {
  const at = new Date(Date.UTC(2008, 0, 1) + ((index * 7919) % messages) * (568e9 / messages));
  const lines = [
    `From me@example.org ${at.toUTCString()}`,
    `Message-ID: <${index}@example.org>`,
    `Date: ${at.toUTCString().replace('GMT', '+0000')}`,
    'From: Me <me@example.org>',
    `To: =?UTF-8?Q?P=C3=A9r?= <person${index % 11_000}@example.org>`,
    `Subject: About matter ${index}`,
    ...Array.from({ length: 12 }, (_, i) => `X-Trace-${i}: ${'0123456789'.repeat(6)}`),
    '',
    ...Array.from({ length: 30 }, () => 'The body of the message, which nobody wants to keep here.'),
    '',
  ];
  return `${lines.join('\n')}\n`;
}

/** The most memory that a process has which reads a book once, over one that only loads its file. */
function memoryFigures(size: number) {
  const file = join(mkdtempSync(join(tmpdir(), 'cordialis-bench-')), 'book.vcf');
  writeFileSync(file, getFormat('vcard4')?.write(generateLargeBook(size), { extensions: false }) ?? '');
  const maxMb = (reader: string) => {
    const args = [join(import.meta.dirname, 'memory.mjs'), file, reader];
    const { stdout, stderr } = spawnSync(process.execPath, args, { encoding: 'utf8' });
    if (stdout === '') throw new Error(stderr);
    return (JSON.parse(stdout) as { maxRssKb: number }).maxRssKb / 1024;
  };
  const idle = maxMb('none');
  const [ours, theirs] = [maxMb('ours') - idle, maxMb('ical') - idle];
  return {
    size,
    oursMb: Math.round(ours),
    icalMb: Math.round(theirs),
    ratio: Number((ours / theirs).toFixed(2)),
  };
}

/** FIGURES=mergeTenMs,search: only those. */
const ALL: Readonly<Record<string, () => unknown>> = {
  reading: () => readFigures(11_000),
  readingMore: () => readFigures(100_000, 3),
  memory: () => [memoryFigures(11_000), memoryFigures(100_000)],
  today: () => todayFigures(11_000),
  mail: () => mailFigures(900_000),
  duplicates: () => [duplicateFigures(11_000), duplicateFigures(100_000)],
  mergeTenMs,
  mergeThreeMs: () => mergeThreeMs(10_000),
  search: () => [searchFigures(11_000), searchFigures(100_000)],
};
const wanted = process.env['FIGURES']?.split(',') ?? Object.keys(ALL);
console.log(JSON.stringify(Object.fromEntries(wanted.map((name: string) => [name, ALL[name]?.()]))));
