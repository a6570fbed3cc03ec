// Hashes are Node's own (FIPS 180-4), the archive fflate's; a backup is judged by what comes back out of it.
import { createHash } from 'node:crypto';

import fc from 'fast-check';
import { unzipSync, zipSync } from 'fflate';

import { decodeUtf8, encodeUtf8 } from '@/core/base';
import { type Card, newCard } from '@/core/card';
import type { Talk } from '@/core/talks';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { readBackup } from './readBackup';
import { writeBackup } from './writeBackup';

const sha256 = (bytes: Uint8Array) => Promise.resolve(createHash('sha256').update(bytes).digest('hex'));
const made = '2026-11-24T10:00:00Z';
const card = (uid: string): Card => ({ ...newCard(uid, made), name: { full: uid } });

test('law: what comes back is the book, and backing that up gives the same bytes', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.uniqueArray(arbitraryCard, { maxLength: 4, selector: ({ uid }) => uid }),
      async (cards) => {
        const settings = { sortBy: 'given' };
        const files = await writeBackup({ cards, settings, made }, sha256);
        const back = await readBackup(unzipSync(zipSync(files)), sha256);
        if ('fault' in back) throw new Error(back.fault);
        expect(back.problems).toEqual([]);
        expect(new Set(back.cards.map(({ uid }) => uid))).toEqual(new Set(cards.map(({ uid }) => uid)));
        const again = await writeBackup(
          { cards: back.cards, settings: back.settings as object, made },
          sha256,
        );
        expect(again).toEqual(files);
      },
    ),
    { numRuns: 60, endOnFailure: true },
  );
});

test('the order of cards does not change a byte', async () => {
  const write = (...cards: Card[]) => writeBackup({ cards, settings: {}, made }, sha256);
  expect(await write(card('a'), card('b'))).toEqual(await write(card('b'), card('a')));
});

test('the order of properties does not change a byte either', async () => {
  const meeting = { title: 'Fee', day: '2026-12-01', minutes: 45, time: '10:00' };
  const turned = Object.fromEntries(Object.entries(meeting).reverse()) as typeof meeting;
  const talk: Talk = {
    ...{ id: '1', kind: 'call', day: '2026-11-01' },
    direction: 'out',
    with: ['a'],
    said: '',
  };
  const write = (one: typeof meeting, said: Talk) =>
    writeBackup(
      {
        cards: [{ ...card('a'), 'cordialis.example:meetings': { m: one } }],
        talks: [said],
        settings: {},
        made,
      },
      sha256,
    );
  const turnedTalk = Object.fromEntries(Object.entries(talk).reverse()) as Talk;
  expect(await write(turned, turnedTalk)).toEqual(await write(meeting, talk));
});

test('the list names each file with its size and its hash', async () => {
  const files = await writeBackup({ cards: [card('a')], settings: {}, made }, sha256);
  const manifest = JSON.parse(decodeUtf8(files['manifest.json'] ?? new Uint8Array()) ?? '') as {
    files: { name: string; bytes: number; sha256: string }[];
  };
  expect(manifest.files.map(({ name }) => name)).toEqual(['cards.json', 'talks.json', 'settings.json']);
  for (const { name, bytes, sha256: hash } of manifest.files) {
    const file = files[name] ?? new Uint8Array();
    expect([bytes, hash]).toEqual([file.length, await sha256(file)]);
  }
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
    const files = { ...(await writeBackup({ cards: [card('a')], settings: {}, made }, sha256)) };
    hurt(files);
    const back = await readBackup(files, sha256);
    if ('fault' in back) throw new Error(back.fault);
    expect(back.problems.map(({ message }) => message).join('\n')).toMatch(says);
  });
}

test('any other archive is refused, and one of a newer version with the reason', async () => {
  expect(await readBackup({ 'a.txt': encodeUtf8('x') }, sha256)).toEqual({
    fault: expect.stringContaining('no backup') as unknown,
  });
  const files = await writeBackup({ cards: [], settings: {}, made }, sha256);
  const newer =
    decodeUtf8(files['manifest.json'] ?? new Uint8Array())?.replace('"version": 1', '"version": 9') ?? '';
  expect(await readBackup({ ...files, 'manifest.json': encodeUtf8(newer) }, sha256)).toEqual({
    fault: expect.stringContaining('newer version (9)') as unknown,
  });
});

test('talks come back with the cards; one that can’t be read is named and the rest is given', async () => {
  const talk = (id: string): Talk => ({
    ...{ id, kind: 'call', day: '2026-11-01', direction: 'out', with: ['a'], said: 'The "second" one' },
  });
  const files = await writeBackup(
    { cards: [card('a')], talks: [talk('2'), talk('1')], settings: {}, made },
    sha256,
  );
  const back = await readBackup(files, sha256);
  expect('talks' in back && back.talks).toEqual([talk('1'), talk('2')]);
  const hurt = { ...files, 'talks.json': encodeUtf8(`[{"id":"x"},${JSON.stringify(talk('1'))}]`) };
  const half = await readBackup(hurt, sha256);
  expect('talks' in half && half.talks).toEqual([talk('1')]);
  expect('problems' in half && half.problems.map(({ message }) => message)).toContain(
    'talks.json: talk 1 could not be read',
  );
});
