// Figures of writing: a message to a list of lists, completion over the Book and the directory, many readers at once.
// Prints one JSON value.
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import express from 'express';

import { type Card, shownAs, type Uid } from '@/core/card';
import { findCards, SearchIndex, toSearchDoc } from '@/core/find';
import { findPeople, newList, withMembers } from '@/core/lists';
import { findRecipients } from '@/core/write';
import { generateLargeBook } from '@/demo';
import { gate } from '@/hub/access';
import { directoryApi } from '@/hub/api';
import { addUser, putEntries, searchEntries, signInUser } from '@/hub/directory';
import { openStore } from '@/hub/store';

const NOW = '2026-11-26T10:00:00Z';
const TODAY = '2026-11-26';
const [CARDS, ENTRIES, PEOPLE, READERS] = [11_000, 20_000, 2000, 50];
/** Hits that a field offers at once. */
const OFFERED = 16;

console.log(JSON.stringify({ recipientsMs: recipientsMs(), ...(await directoryFigures()) }));

/** A list of four lists of four lists each, with two thousand people on the innermost, some of them on two. */
function recipientsMs(): number {
  const people = generateLargeBook(PEOPLE, 1).map((card, i): Card => ({
    ...card,
    kind: 'individual',
    emails: { e1: { address: `person${i}@example.org` } },
  }));
  const known = new Map<Uid, Card>(people.map((card) => [card.uid, card]));
  const inner = Array.from({ length: 16 }, (_, i) =>
    withMembers(
      newList(`inner${i}`, `Inner ${i}`, NOW),
      people.filter((_card, k) => k % 16 === i || k % 160 === i).map(({ uid }) => uid),
    ),
  );
  const middle = Array.from({ length: 4 }, (_, i) =>
    withMembers(
      newList(`middle${i}`, `Middle ${i}`, NOW),
      inner.slice(i * 4, i * 4 + 4).map(({ uid }) => uid),
    ),
  );
  const list = withMembers(
    newList('all', 'All', NOW),
    middle.map(({ uid }) => uid),
  );
  for (const one of [...inner, ...middle]) known.set(one.uid, one);
  const getCard = (uid: Uid) => known.get(uid);
  const runs: number[] = [];
  for (let run = 0; run < 15; run += 1) {
    const start = performance.now();
    const members = findPeople(list, getCard);
    const found = findRecipients([{ kind: 'list', list, members }], getCard);
    runs.push(performance.now() - start);
    if (found.people.length !== PEOPLE) throw new Error(`${found.people.length} people of ${PEOPLE}`);
  }
  return percentile(runs, 0.5);
}

async function directoryFigures(): Promise<object> {
  const folder = mkdtempSync(join(tmpdir(), 'cordialis-bench-'));
  const db = await openStore(folder);
  const entries = generateLargeBook(ENTRIES, 2).map((card) => ({ card, isInside: false, isHidden: false }));
  const by = { name: 'bench', now: NOW };
  await putEntries(db, entries, by);
  const index = new SearchIndex();
  const cards = generateLargeBook(CARDS, 1);
  for (const card of cards) index.add(toSearchDoc(card, 'GB'));
  const words = cards.slice(0, 300).map((card) => shownAs(card).toLowerCase());
  const role = { role: 'reader' as const, today: TODAY, limit: OFFERED };
  const keystrokes: number[] = [];
  await searchEntries(db, 'warm', role);
  for (const word of words)
    for (let length = 2; length <= Math.min(6, word.length); length += 1) {
      const typed = word.slice(0, length);
      const start = performance.now();
      findCards(index, typed, { limit: OFFERED, today: TODAY });
      await searchEntries(db, typed, role);
      keystrokes.push(performance.now() - start);
    }
  const readers = await readersMs(db, words);
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
  return { completionP95Ms: percentile(keystrokes, 0.95), ...readers };
}

/** Fifty readers who all type at once, over HTTP. */
async function readersMs(
  db: Awaited<ReturnType<typeof openStore>>,
  words: readonly string[],
): Promise<object> {
  const by = { name: 'bench', now: NOW };
  const passphrase = 'a passphrase for the bench';
  await addUser(db, { name: 'Reader', role: 'reader', passphrase }, by);
  const app = express();
  app.use(gate({ db, isDemo: false, utcNow: () => NOW }));
  app.use('/api/directory', directoryApi(db, { utcNow: () => NOW, newUid: () => 'none' }));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const tokens = await Promise.all(
    Array.from({ length: READERS }, (_, i) =>
      // Each from a machine of their own.
      signInUser(db, { name: 'Reader', passphrase, from: String(i) }, Date.parse(NOW)),
    ),
  );
  const answers: number[] = [];
  const type = async (token: string, word: string) => {
    for (let length = 2; length <= 6; length += 1) {
      const start = performance.now();
      const path = `/api/directory/entries?q=${encodeURIComponent(word.slice(0, length))}`;
      const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
        headers: { Authorization: `Directory ${token}` },
      });
      if (!answer.ok) throw new Error(`a reader was answered ${answer.status}`);
      await answer.text();
      answers.push(performance.now() - start);
    }
  };
  const start = performance.now();
  await Promise.all(tokens.map((one, i) => type(one?.token ?? '', words[i] ?? 'quay')));
  const whole = performance.now() - start;
  server.closeAllConnections();
  server.close();
  return {
    readersP95Ms: percentile(answers, 0.95),
    readerAnswersPerSecond: Math.round((answers.length * 1000) / whole),
  };
}

function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Number((sorted[Math.floor((sorted.length - 1) * share)] ?? 0).toFixed(1));
}
