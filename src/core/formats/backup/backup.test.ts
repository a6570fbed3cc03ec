// Hashes are Node's own (FIPS 180-4), the archive fflate's; a backup is judged by what comes back out of it.
import { createHash } from 'node:crypto';

import fc from 'fast-check';
import { unzipSync, zipSync } from 'fflate';

import { decodeUtf8, encodeUtf8 } from '@/core/base';
import { type Card, newCard } from '@/core/card';
import type { Talk } from '@/core/talks';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { readBackup } from './readBackup';
import { ArraySplitter } from './splitArray';
import { writeBackup } from './writeBackup';

const made = '2026-11-24T10:00:00Z';
const card = (uid: string): Card => ({ ...newCard(uid, made), name: { full: uid } });

interface Contents {
  readonly cards?: readonly Card[];
  readonly talks?: readonly Talk[];
  readonly settings?: object;
}

/** Packs a book in pieces of two. */
async function pack({ cards = [], talks = [], settings = {} }: Contents): Promise<Uint8Array> {
  const twos = <T>(all: readonly T[]) =>
    Array.from({ length: Math.ceil(all.length / 2) }, (_, i) => all.slice(2 * i, 2 * i + 2));
  const chunks: Uint8Array[] = [];
  const contents = { cards: twos(cards), talks: twos(talks), settings, made };
  await writeBackup(contents, (bytes) => chunks.push(bytes));
  return Buffer.concat(chunks);
}

const sourceOf = (bytes: Uint8Array) => ({
  size: bytes.length,
  read: (from: number, to: number) => Promise.resolve(bytes.subarray(from, to)),
});

/** Reads an archive whole. */
async function unpack(bytes: Uint8Array) {
  const cards: Card[] = [];
  const talks: Talk[] = [];
  const sinks = {
    onCards: (some: readonly Card[]) => cards.push(...some),
    onTalks: (some: readonly Talk[]) => talks.push(...some),
  };
  const summary = await readBackup(sourceOf(bytes), sinks);
  return { summary, cards, talks };
}

/** The files of a backup, to be hurt and packed again. */
const filesOf = async (contents: Contents): Promise<Record<string, Uint8Array>> =>
  unzipSync(await pack(contents));

test('law: what comes back is the book, and backing that up gives the same bytes', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.uniqueArray(arbitraryCard, { maxLength: 5, selector: ({ uid }) => uid }),
      async (cards) => {
        const settings = { sortBy: 'given' };
        const bytes = await pack({ cards, settings });
        const { summary, cards: back } = await unpack(bytes);
        if ('fault' in summary) throw new Error(summary.fault);
        expect(summary.problems).toEqual([]);
        expect(back.map(({ uid }) => uid)).toEqual(cards.map(({ uid }) => uid));
        expect(await pack({ cards: back, settings: summary.settings as object })).toEqual(bytes);
      },
    ),
    { numRuns: 60, endOnFailure: true },
  );
});

test('the order of properties does not change a byte', async () => {
  const meeting = { title: 'Fee', day: '2026-12-01', minutes: 45, time: '10:00' };
  const turned = Object.fromEntries(Object.entries(meeting).reverse()) as typeof meeting;
  const talk: Talk = {
    ...{ id: '1', kind: 'call', day: '2026-11-01' },
    direction: 'out',
    with: ['a'],
    said: '',
  };
  const write = (one: typeof meeting, said: Talk) =>
    pack({ cards: [{ ...card('a'), 'cordialis.example:meetings': { m: one } }], talks: [said] });
  const turnedTalk = Object.fromEntries(Object.entries(talk).reverse()) as Talk;
  expect(await write(turned, turnedTalk)).toEqual(await write(meeting, talk));
});

test('the list names each file with its size and its hash', async () => {
  const files = await filesOf({ cards: [card('a')] });
  const manifest = JSON.parse(decodeUtf8(files['manifest.json'] ?? new Uint8Array()) ?? '') as {
    files: { name: string; bytes: number; sha256: string }[];
  };
  expect(manifest.files.map(({ name }) => name)).toEqual(['cards.json', 'talks.json', 'settings.json']);
  for (const { name, bytes, sha256 } of manifest.files) {
    const file = files[name] ?? new Uint8Array();
    expect([bytes, sha256]).toEqual([file.length, createHash('sha256').update(file).digest('hex')]);
  }
});

test('an archive of another program’s making, stored or packed, with its list first, is read as well', async () => {
  const { 'manifest.json': list, ...files } = await filesOf({ cards: [card('a'), card('b'), card('c')] });
  for (const level of [0, 9] as const) {
    const { summary, cards } = await unpack(
      zipSync({ 'manifest.json': list ?? new Uint8Array(), ...files }, { level }),
    );
    expect('problems' in summary && summary.problems).toEqual([]);
    expect(cards.map(({ uid }) => uid)).toEqual(['a', 'b', 'c']);
  }
});

test('an archive that has been cut short says so, wherever it was cut; none is read as if it were whole', async () => {
  const bytes = await pack({ cards: [card('a'), card('b')] });
  for (let length = 0; length < bytes.length; length += 7) {
    const { summary } = await unpack(bytes.subarray(0, length));
    expect(summary).toEqual({
      fault: expect.stringMatching(/no zip archive|cut short|no archive/) as unknown,
    });
  }
});

test('law: one changed byte is never taken for the backup as it was made', async () => {
  const contents = { cards: [card('a'), card('b')], settings: { sortBy: 'given' } };
  const bytes = await pack(contents);
  const whole = await unpack(bytes);
  await fc.assert(
    fc.asyncProperty(fc.nat({ max: bytes.length - 1 }), fc.integer({ min: 1, max: 255 }), async (at, by) => {
      const hurt = Uint8Array.from(bytes);
      hurt[at] = ((hurt[at] ?? 0) + by) % 256;
      const { summary, cards } = await unpack(hurt);
      if ('fault' in summary || summary.problems.length > 0) return;
      // A byte that says nothing about the contents: a date, a flag, a checksum that the hashes stand in for.
      expect({ cards, settings: summary.settings }).toEqual({
        cards: whole.cards,
        settings: contents.settings,
      });
    }),
    { numRuns: 300 },
  );
});

test('law: an array that comes in pieces gives the values that it has as a whole (RFC 8259)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.jsonValue(), { maxLength: 6 }),
      fc.constantFrom(undefined, 2),
      fc.array(fc.nat({ max: 9 }), { minLength: 1, maxLength: 20 }),
      (values, indent, lengths) => {
        const splitter = new ArraySplitter();
        const text = JSON.stringify(values, null, indent);
        const found: unknown[] = [];
        for (let at = 0, i = 0; at < text.length; i += 1) {
          const length = 1 + (lengths[i % lengths.length] ?? 0);
          for (const value of splitter.push(text.slice(at, at + length))) found.push(JSON.parse(value));
          at += length;
        }
        expect(found).toEqual(JSON.parse(text));
        expect(splitter.isWhole).toBe(true);
      },
    ),
  );
});

const hurts = [
  {
    name: 'a changed file',
    hurt: (files: Record<string, Uint8Array>) => (files['settings.json'] = encodeUtf8('{"sortBy":"x"}')),
    says: /settings\.json has changed since/,
  },
  {
    name: 'a missing file',
    hurt: (files: Record<string, Uint8Array>) => delete files['settings.json'],
    says: /settings\.json is missing/,
  },
  {
    name: 'a card that is none',
    hurt: (files: Record<string, Uint8Array>) => (files['cards.json'] = encodeUtf8('[{"uid":1}]')),
    says: /cards\.json: card 1/,
  },
];
for (const { name, hurt, says } of hurts) {
  test(`${name} is reported`, async () => {
    const files = await filesOf({ cards: [card('a')] });
    hurt(files);
    const { summary } = await unpack(zipSync(files));
    if ('fault' in summary) throw new Error(summary.fault);
    expect(summary.problems.map(({ message }) => message).join('\n')).toMatch(says);
  });
}

test('any other archive is refused, and one of a newer version with the reason', async () => {
  expect((await unpack(zipSync({ 'a.txt': encodeUtf8('x') }))).summary).toEqual({
    fault: expect.stringContaining('no backup') as unknown,
  });
  const files = await filesOf({});
  const newer =
    decodeUtf8(files['manifest.json'] ?? new Uint8Array())?.replace('"version": 1', '"version": 9') ?? '';
  expect((await unpack(zipSync({ ...files, 'manifest.json': encodeUtf8(newer) }))).summary).toEqual({
    fault: expect.stringContaining('newer version (9)') as unknown,
  });
});

test('talks come back with the cards; one that can’t be read is named and the rest is given', async () => {
  const talk = (id: string): Talk => ({
    ...{ id, kind: 'call', day: '2026-11-01', direction: 'out', with: ['a'], said: 'The "second" one' },
  });
  const files = await filesOf({ cards: [card('a')], talks: [talk('1'), talk('2')] });
  expect((await unpack(zipSync(files))).talks).toEqual([talk('1'), talk('2')]);
  const hurt = { ...files, 'talks.json': encodeUtf8(`[{"id":"x"},${JSON.stringify(talk('1'))}]`) };
  const { summary, talks } = await unpack(zipSync(hurt));
  expect(talks).toEqual([talk('1')]);
  expect('problems' in summary && summary.problems.map(({ message }) => message)).toContain(
    'talks.json: talk 1 could not be read',
  );
});
