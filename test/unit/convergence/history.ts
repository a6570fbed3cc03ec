import { copyFileSync, existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

import fc from 'fast-check';

import { makeHubClient } from '@/book/clients/hubClient';
import { changeBook, readAllTalks } from '@/book/commit';
import type { TalkChange } from '@/book/history';
import { openBook } from '@/book/openBook';
import { selectCardsByUid } from '@/book/state';
import type { Written } from '@/book/store';
import { pairWithHub, readPairing } from '@/book/sync';
import { exchange } from '@/book/sync/exchange';
import { gone, MemoryStorage, openTestBook, put } from '@/book/testing';
import { type Card, newCard, parseName } from '@/core/card';
import { pushSchema, recordsPushSchema } from '@/core/sync';
import { parseTalk, type Talk } from '@/core/talks';
import {
  addHeld,
  editHeld,
  removeHeld,
  STAND_INS,
  type StandInKind,
  type StandInState,
} from '@/hub/standins';
import { syncStandIn } from '@/hub/standins/syncStandIn';
import { allCards, backUpStore, engineOf, epochOf, type HubDb, lastSeq, openStore } from '@/hub/store';
import { copyStore } from '@/hub/store/moves/copyStore';
import { keyOf, setKeyMark } from '@/hub/store/seal';
import {
  addDevice,
  allHeads,
  answerPull,
  answerRecordsPull,
  applyPush,
  applyRecordsPush,
  findBrowser,
  listDevices,
  makeCode,
  pairBrowser,
  viewOf,
} from '@/hub/sync';
import { openTestStore, testAddress } from '@/hub/testing';
import { HubFault, type HubQuestion } from '@/platform';

import { openSession } from '../sessionInProcess';

const NOW = '2026-11-26T10:00:00Z';
const folder = mkdtempSync(join(existsSync('/dev/shm') ? '/dev/shm' : tmpdir(), 'cordialis-histories-'));
let count = 0;
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const KINDS = ['phone', 'mail', 'computer'] as const;
const BROWSERS = ['One', 'Two'] as const;
type Who = StandInKind | (typeof BROWSERS)[number];
const isBrowser = (who: Who): who is 'One' | 'Two' => who === 'One' || who === 'Two';

interface Step {
  readonly who: Who;
  /** In which of the cards that it has. */
  readonly which: number;
  readonly what:
    'mail' | 'number' | 'rename' | 'delete' | 'new' | 'sync' | 'lost' | 'talk' | 'retalk' | 'untalk';
}

const stepOf: fc.Arbitrary<Step> = fc.record({
  who: fc.constantFrom<Who>(...KINDS, ...BROWSERS),
  which: fc.nat(3),
  what: fc.constantFrom(
    ...(['mail', 'mail', 'number', 'rename', 'delete', 'new', 'sync', 'sync', 'sync', 'lost'] as const),
    ...(['talk', 'retalk', 'untalk'] as const),
  ),
});

const START: readonly Card[] = ['Ada Lowther', 'Bo Ek', 'Cara Quist'].map((full, i) => ({
  ...newCard(`urn:uuid:00000000-0000-4000-8000-00000000000${i}`, NOW),
  ...{ kind: 'individual' as const, name: parseName(full) ?? {} },
  emails: { e1: { address: `start${i}@example.org` } },
  phones: { p1: { number: `+4420794601${i}0`, contexts: { work: true } } },
  keywords: { choir: true },
  'cordialis.example:opener': 'The new organ?',
}));

/** How every history begins: the hub's store as a file, what each device remembers, and each browser's storage. */
interface Start {
  readonly path: string;
  readonly states: ReadonlyMap<StandInKind, StandInState>;
  readonly storages: readonly (readonly [string, ReadonlyMap<string, string>])[];
}
let start: Promise<Start> | undefined;

/** Opens a store of its own. @param from - the file of SQLite with which it begins */
async function openStoreIn(from?: string): Promise<HubDb> {
  const path = join(folder, String((count += 1)));
  mkdirSync(path);
  if (from === undefined) return openTestStore(path);
  copyFileSync(from, join(path, 'hub.db'));
  if (testAddress(path) !== undefined) await fillFromFile(path);
  return openTestStore(path);
}

/** Fills a store that lies elsewhere with what is in the file beside its key. */
async function fillFromFile(path: string): Promise<void> {
  const [source, target] = [await openStore(path), await openTestStore(path)];
  await copyStore(engineOf(source), engineOf(target), {
    finish: (store) => setKeyMark(store, keyOf(target)),
  });
  await source.destroy();
  await target.destroy();
}

type Book = ReturnType<typeof openTestBook>;
/** What a page has beside its storage: whatever `openTestBook` takes. */
type More = Parameters<typeof openTestBook>[2];

/** Three devices with habits of their own and two browsers, around one hub. */
export class World {
  private readonly states = new Map<StandInKind, StandInState>();
  private readonly books = new Map<string, Book>();
  private isAnswerLost = false;

  private constructor(readonly db: HubDb) {}

  /** A world in which every device and browser has all cards; made once, and then copied. */
  static async open(newStorage = () => new MemoryStorage()): Promise<World> {
    const { path, states, storages } = await (start ??= World.begin());
    const world = new World(await openStoreIn(path));
    for (const [kind, state] of states) world.states.set(kind, state);
    for (const [name, entries] of storages) {
      const storage = newStorage();
      for (const [key, text] of entries) storage.entries.set(key, text);
      await world.openTab(name, storage);
    }
    return world;
  }

  private static async begin(): Promise<Start> {
    const world = new World(await openStoreIn());
    for (const name of BROWSERS) {
      const book = world.openBrowser(name, new MemoryStorage(), name === 'One' ? START : []);
      await book.store.dispatch(openBook());
      await book.store.dispatch(pairWithHub(await makeCode(world.db, 0), name));
      await world.sync(name);
    }
    for (const kind of KINDS) {
      const { name, groups } = STAND_INS[kind];
      const { user, password } = await addDevice(world.db, { name, groups, direction: 'both' }, NOW);
      const empty = { syncToken: '', isOffline: false, next: NOW, cards: {} };
      world.states.set(kind, { user, password, ...empty });
      await world.sync(kind);
    }
    await world.sync('One');
    const path = join(folder, 'start.db');
    await backUpStore(world.db, path);
    await world.db.destroy();
    const storages = BROWSERS.map((name) => [name, new Map(world.book(name).storage.entries)] as const);
    return { path, states: world.states, storages };
  }

  /** Opens a page of a browser, in place of the one before. */
  async openTab(
    name: string,
    storage: MemoryStorage,
    more: More = {},
    onSaved?: (written: Written) => void,
  ): Promise<Book> {
    const book = this.openBrowser(name, storage, undefined, more, onSaved);
    await book.store.dispatch(openBook());
    await book.store.dispatch(readPairing());
    return book;
  }

  private openBrowser(
    name: string,
    storage: MemoryStorage,
    cards?: readonly Card[],
    more: More = {},
    onSaved?: (written: Written) => void,
  ): Book {
    const ask = async ({ path, token = '', body }: HubQuestion): Promise<unknown> => {
      if (path === '/pair') return pairBrowser(this.db, body as { code: string; name: string }, 0);
      const browser = await findBrowser(this.db, token, 0);
      if (!browser) throw new HubFault('nobody', 401);
      const url = new URL(path, 'http://hub.example');
      if (url.pathname === '/exchange/epoch') return { epoch: epochOf(this.db), shared: null };
      if (url.pathname === '/exchange/pull')
        return JSON.parse(
          JSON.stringify(await answerPull(this.db, browser, Number(url.searchParams.get('since')))),
        );
      if (url.pathname === '/exchange/records' && body === undefined)
        return JSON.parse(
          JSON.stringify(await answerRecordsPull(this.db, browser, Number(url.searchParams.get('since')))),
        );
      if (url.pathname === '/exchange/records') {
        const records = recordsPushSchema.parse(JSON.parse(JSON.stringify(body)));
        const refusedRecords = await applyRecordsPush(this.db, browser, records);
        if (this.isAnswerLost) throw new HubFault('the hub can’t be reached', 0);
        return { refused: refusedRecords };
      }
      const push = pushSchema.parse(JSON.parse(JSON.stringify(body)));
      const refused = await applyPush({ db: this.db, browser, now: NOW, country: 'GB' }, push);
      if (this.isAnswerLost) throw new HubFault('the hub can’t be reached', 0);
      return { refused };
    };
    const hub = makeHubClient(ask, () => () => undefined);
    let uid = 0;
    const newUid = () =>
      `urn:uuid:00000000-0000-4000-8${name === 'One' ? 1 : 2}00-${String((uid += 1)).padStart(12, '0')}`;
    const book = openTestBook(storage, cards, { hub, newUid, ...more }, onSaved);
    this.books.set(name, book);
    return book;
  }

  book(who: string): Book {
    const book = this.books.get(who);
    if (!book) throw new Error(who);
    return book;
  }

  private state(who: Who): StandInState {
    const state = this.states.get(who as StandInKind);
    if (!state) throw new Error(who);
    return state;
  }

  /** @param isLost - whether the answer gets lost on its way */
  async sync(who: Who, isLost = false): Promise<void> {
    if (isBrowser(who)) {
      this.isAnswerLost = isLost;
      await this.book(who).store.dispatch(exchange(`${count}${who}`));
      this.isAnswerLost = false;
      return;
    }
    const { version } = STAND_INS[who];
    const state = this.state(who);
    const session = openSession(this.db, state.user, version, () => NOW);
    const { state: now } = await syncStandIn(STAND_INS[who], state, session);
    // A device whose answer got lost tries the same again later.
    if (!isLost) this.states.set(who, now);
  }

  /** From now on the hub's answers get lost on their way, or not any more. */
  loseAnswers(isLost: boolean): void {
    this.isAnswerLost = isLost;
  }

  /** Ends it, and what it has on the disk. */
  async close(): Promise<void> {
    await this.db.destroy();
    rmSync(join(folder, String(count)), { recursive: true, force: true });
    // The store's library opens a file for each transaction, and closes it when it is collected.
    if (count % COLLECT_EVERY === 0) collectGarbage();
  }

  cards(who: Who): Card[] {
    if (isBrowser(who)) return [...selectCardsByUid(this.book(who).store.getState()).values()];
    return Object.values(this.state(who).cards).flatMap(({ card, state }) =>
      state === 'deleted' ? [] : card,
    );
  }

  async edit(who: Who, card: Card): Promise<void> {
    if (isBrowser(who)) {
      await this.book(who).store.dispatch(changeBook({ cause: 'edit', label: 'Edited', edits: put(card) }));
      return;
    }
    const typed = {
      name: card.name?.full ?? (card.name?.components ?? []).map(({ value }) => value).join(' '),
      phones: Object.values(card.phones ?? {}).map(({ number }) => number),
      mails: Object.values(card.emails ?? {}).map(({ address }) => address),
    };
    const known = this.state(who);
    const device = STAND_INS[who];
    const isNew = !known.cards[card.uid];
    this.states.set(who, isNew ? addHeld(device, known, typed) : editHeld(device, known, card.uid, typed));
  }

  async talks(who: Who): Promise<Talk[]> {
    return isBrowser(who) ? this.book(who).store.dispatch(readAllTalks()) : [];
  }

  async talk(who: Who, change: TalkChange): Promise<void> {
    if (isBrowser(who))
      await this.book(who).store.dispatch(
        changeBook({ cause: 'edit', label: 'Noted a talk', talks: [change] }),
      );
  }

  async hubTalks(): Promise<Talk[]> {
    const rows = await this.db.selectFrom('records').select('value').where('kind', '=', 'talk').execute();
    return rows.flatMap(({ value }) => (value === null ? [] : (parseTalk(JSON.parse(value)) ?? [])));
  }

  async remove(who: Who, uid: string): Promise<void> {
    if (!isBrowser(who)) this.states.set(who, removeHeld(this.state(who), uid));
    else
      await this.book(who).store.dispatch(
        changeBook({ cause: 'delete', label: 'Deleted', edits: gone(uid) }),
      );
  }

  /** Changes with every change of a card or a talk on the hub. */
  async stamp(): Promise<string> {
    const last = await this.db
      .selectFrom('records')
      .select(({ fn }) => fn.max('seq').as('seq'))
      .executeTakeFirst();
    return `${await lastSeq(this.db)} ${last?.seq ?? 0}`;
  }

  async settled(): Promise<string> {
    return JSON.stringify(await this.db.selectFrom('settle').selectAll().execute());
  }
}

/** Everything that can be read on cards. */
const textOf = (cards: readonly Card[]) => JSON.stringify(cards);
const plain = (card: Card) => ({ ...card, updated: '' });
const byUid = (cards: readonly Card[]) =>
  Object.fromEntries(
    cards.map((card) => [card.uid, plain(card)] as const).sort(([a], [b]) => (a < b ? -1 : 1)),
  );

async function live(world: World, steps: readonly Step[]): Promise<{ tokens: Set<string> }> {
  /** What was written and nobody has knowingly taken away. */
  const tokens = new Set<string>();
  let written = 0;
  const drop = (card: Card) => {
    for (const token of [...tokens]) if (textOf([card]).includes(token)) tokens.delete(token);
  };
  for (const { who, which, what } of steps) {
    const cards = world.cards(who);
    const card = cards[which % Math.max(1, cards.length)];
    const token = `t${(written += 1)}x`;
    if (what.endsWith('talk')) {
      // Devices know nothing of talks.
      if (!isBrowser(who)) continue;
      const talks = await world.talks(who);
      const talk = talks[which % Math.max(1, talks.length)];
      const day = `2026-${which % 2 === 0 ? '10' : '11'}-03`;
      if (what === 'talk' && card) {
        const fresh = { kind: 'call' as const, direction: 'out' as const, with: [card.uid], said: token };
        await world.talk(who, { after: { id: `talk${written}`, day, ...fresh } });
        tokens.add(token);
      } else if (what === 'retalk' && talk) {
        // It may move to another month, too.
        await world.talk(who, { before: talk, after: { ...talk, day, said: `${talk.said} ${token}` } });
        tokens.add(token);
      } else if (what === 'untalk' && talk) {
        for (const one of [...tokens]) if (talk.said.includes(one)) tokens.delete(one);
        await world.talk(who, { before: talk });
      }
    } else if (what === 'sync') await world.sync(who);
    else if (what === 'lost') await world.sync(who, true);
    else if (what === 'new') {
      const uid = `urn:uuid:00000000-0000-4000-9000-${String(written).padStart(12, '0')}`;
      const name = parseName(`Z${token} Unlike${written}`) ?? {};
      await world.edit(who, {
        ...newCard(uid, NOW),
        kind: 'individual',
        name: { ...name, full: `Z${token} Unlike${written}` },
      });
      tokens.add(token);
    } else if (!card) continue;
    else if (what === 'delete') {
      drop(card);
      await world.remove(who, card.uid);
    } else if (what === 'mail') {
      // One more address, where the device has room for it.
      if (Object.keys(card.emails ?? {}).length >= 3) continue;
      const emails = { ...card.emails, [`n${written}`]: { address: `${token}@example.org` } };
      await world.edit(who, { ...card, emails });
      tokens.add(token);
    } else if (what === 'number') {
      const [first] = Object.keys(card.phones ?? {});
      if (first === undefined) continue;
      const number = `+4420794${String(60000 + written)}`;
      await world.edit(who, {
        ...card,
        phones: { ...card.phones, [first]: { ...card.phones?.[first], number } },
      });
    } else {
      // Whoever renames a card has seen how it was called.
      for (const one of [...tokens]) if (JSON.stringify(card.name).includes(one)) tokens.delete(one);
      const full = `${token} ${card.name?.components?.at(-1)?.value ?? 'Ek'}`;
      await world.edit(who, { ...card, name: { ...(parseName(full) ?? {}), full } });
    }
  }
  return { tokens };
}

const byId = (talks: readonly Talk[]) =>
  [...talks].sort((a, b) => (a.id < b.id ? -1 : 1)).map((talk) => ({ ...talk, with: [...talk.with].sort() }));

/** Histories after which what is no longer used is given back. */
const COLLECT_EVERY = 10;
setFlagsFromString('--expose-gc');
const collectGarbage = runInNewContext('gc') as () => void;

/** Rounds of everybody's syncs after which all must have come to the same. */
const ROUNDS = 4;

/** Lets everybody sync until a whole round has changed nothing. @returns whether it came to that */
async function calmDown(world: World): Promise<boolean> {
  for (let round = 0; round <= ROUNDS; round += 1) {
    const before = await world.stamp();
    for (const who of [...KINDS, ...BROWSERS]) await world.sync(who);
    if ((await world.stamp()) === before) return true;
  }
  return false;
}

/**
 * Tries random histories of three devices and two browsers: whatever they do, and whenever they can't reach the hub, all
 * come to the same book, nothing written is lost, and nobody is there twice.
 *
 * @param seed - the same histories each time for the same one
 */
export async function checkHistories(histories: number, seed: number): Promise<void> {
  await fc.assert(fc.asyncProperty(fc.array(stepOf, { minLength: 1, maxLength: 14 }), checkHistory), {
    numRuns: histories,
    seed,
  });
}

async function checkHistory(steps: readonly Step[]): Promise<void> {
  const world = await World.open();
  try {
    const { tokens } = await live(world, steps);
    expect(await calmDown(world)).toBe(true);
    const hub = await allCards(world.db);
    for (const who of BROWSERS) expect(byUid(world.cards(who))).toEqual(byUid(hub));
    for (const device of await listDevices(world.db)) {
      const kind = KINDS.find((one) => STAND_INS[one].name === device.name) ?? 'phone';
      const served = await allHeads(await viewOf(world.db, device));
      expect(world.cards(kind).length).toBe(served.length);
    }
    const names = hub.map(({ name }) => name?.components?.map(({ value }) => value).join(' ') ?? name?.full);
    expect(new Set(names).size).toBe(names.length);
    const said = await world.hubTalks();
    for (const who of BROWSERS) expect(byId(await world.talks(who))).toEqual(byId(said));
    const everything = textOf(hub) + (await world.settled()) + JSON.stringify(said);
    for (const token of tokens) expect(everything).toContain(token);
  } finally {
    await world.close();
  }
}
