// Figures of the core: reading vCards against ical.js alone, in time and memory, and finding. Prints one JSON value.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import ICAL from 'ical.js';

import { encodeUtf8, getFormat } from '@/core/formats';
import type { Card } from '@/core/card';
import { findCards, SearchIndex, toSearchDoc } from '@/core/search';
import { addDays } from '@/core/days';
import { planToday, rankCloseness, summarise, type Talk } from '@/core/talks';
import { generateLargeBook } from '@/demo';

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
  const known = [...summaries].flatMap(([uid, summary]) => (summary ? [[uid, summary] as const] : []));
  const planMs = leastOf(9, () => {
    const ranks = rankCloseness(known, '2026-11-24');
    planToday(
      cards.map((card) => ({
        ...{ card, summary: summaries.get(card.uid), closeness: ranks.get(card.uid) ?? 0, rhythms: [] },
      })),
      { today: '2026-11-24', leapDay: 'february-28', quietCount: 4, ahead: 28 },
    );
  });
  return { size, planMs: Number(planMs.toFixed(1)) };
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

console.log(
  JSON.stringify({
    reading: readFigures(11_000),
    readingMore: readFigures(100_000, 3),
    memory: [memoryFigures(11_000), memoryFigures(100_000)],
    today: todayFigures(11_000),
    search: [searchFigures(11_000), searchFigures(100_000)],
  }),
);
