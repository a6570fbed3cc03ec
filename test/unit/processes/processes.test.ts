/** @jest-environment node */
// Four hubs on one PostgreSQL store, behind a proxy that asks any of them: processes are killed and ended, the database is restarted,
// while devices and browsers work. What was answered is there, all that all of them wrote ends up everywhere, and news are in time.
import { makeHubClient } from '@/book/clients/hubClient';
import { changeBook } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { selectCardsByUid, selectHub } from '@/book/state';
import { pairWithHub } from '@/book/sync';
import { exchange } from '@/book/sync/exchange';
import { MemoryStorage, openTestBook, put } from '@/book/testing';
import type { Card } from '@/core/card';
import { addHeld, editHeld, STAND_INS, type StandInKind, type StandInState } from '@/hub/standins';
import { syncOver } from '@/hub/standins/syncStandIn';
import { allCards, type HubDb, isReady, openStore } from '@/hub/store';
import { migrate } from '@/hub/store/schema/migrate';
import { type Step, STEPS } from '@/hub/store/schema/steps';
import { addDevice, makeCode, pairBrowser } from '@/hub/sync';
import { testPerson } from '@/hub/testing';
import type { HubQuestion } from '@/platform';

import { askOver } from '../askOver';
import { HubProcess } from '../hubProcess';
import { randomOf } from '../randomOf';
import { Balancer } from './Balancer';
import { Listener } from './Listener';
import { PostgresServer } from './PostgresServer';

const NOW = '2026-11-26T10:00:00Z';
const KINDS = ['phone', 'mail', 'computer'] as const;
const BROWSERS = ['One', 'Two'] as const;
type Who = StandInKind | (typeof BROWSERS)[number];
/** How often something fails. */
const FAILURES = Number(process.env['KILLS'] ?? 8);
/** In what time news are told to whoever has listened without a break, in milliseconds: a busy machine is slow. */
const IN_TIME_MS = 5000;

/** What the next version would add. */
const NEXT: Step = {
  ...{ name: '9001 nicknames', isBreak: false },
  up: async ({ schema }) => {
    for (const table of ['cards', 'devices', 'memory', 'browsers'])
      await schema.alterTable(table).addColumn('nickname', 'text').execute();
  },
};

/** Here and on the way to a new machine alike: where there is no server, nothing of it can be tried. */
const withServer = process.env['TEST_POSTGRES'] === undefined ? test.skip : test;

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** Three devices and two browsers that work through the proxy; each changes its own cards, and one that all have. */
class World {
  private readonly states = new Map<StandInKind, StandInState>();
  private readonly books = new Map<string, ReturnType<typeof openTestBook>>();
  /** What each has written last, by the card's name: it is everywhere in the end. */
  readonly written = new Map<string, string>();
  /** Of each the value that was answered last, and all that were written since: any of them may be on the hub. */
  readonly sinceAnswer = new Map<string, string[]>();
  private count = 0;

  constructor(
    private readonly base: string,
    private readonly db: HubDb,
  ) {}

  async begin(): Promise<void> {
    for (const kind of KINDS) {
      const { name, groups } = STAND_INS[kind];
      const { user, password } = await addDevice(this.db, { name, groups, direction: 'both' }, NOW);
      this.states.set(kind, { user, password, syncToken: '', isOffline: false, next: NOW, cards: {} });
    }
    for (const name of BROWSERS) {
      const ask = (question: HubQuestion) => askOver(this.base, question);
      const cards = name === 'One' ? [testPerson('shared', 'Shared by all')] : [];
      let uid = 0;
      const newUid = () =>
        `urn:uuid:00000000-0000-4000-8${name === 'One' ? 1 : 2}00-${String((uid += 1)).padStart(12, '0')}`;
      const hub = makeHubClient(ask, () => () => undefined);
      const book = openTestBook(new MemoryStorage(), cards, { hub, newUid });
      this.books.set(name, book);
      await book.store.dispatch(openBook());
      await book.store.dispatch(pairWithHub(await makeCode(this.db, Date.now()), name));
    }
  }

  /** Writes a number on one of one's own cards, or makes one. */
  async write(who: Who, which: number): Promise<void> {
    // A phone writes it as numbers are written at home.
    const value = `7946 ${String((this.count += 1)).padStart(4, '0')}`;
    const name = `${who} ${which}`;
    this.written.set(name, value);
    this.sinceAnswer.get(name)?.push(value);
    const known = this.cards(who).find((card) => card.name?.full === name);
    if (who === 'One' || who === 'Two') {
      const before =
        known ??
        testPerson(
          `urn:uuid:00000000-0000-4000-9${who === 'One' ? 1 : 2}00-${String(which).padStart(12, '0')}`,
          name,
        );
      const after: Card = { ...before, name: { full: name }, phones: { p1: { number: `+44 20 ${value}` } } };
      await this.book(who).store.dispatch(changeBook({ cause: 'edit', label: 'Edited', edits: put(after) }));
      return;
    }
    const [device, state] = [STAND_INS[who], this.state(who)];
    const typed = { name, phones: [`+44 20 ${value}`], mails: [] };
    this.states.set(who, known ? editHeld(device, state, known.uid, typed) : addHeld(device, state, typed));
  }

  /** Syncs once. @returns whether it was answered */
  async sync(who: Who): Promise<boolean> {
    const sent = [...this.written].filter(([name]) => name.startsWith(`${who} `));
    if (who === 'One' || who === 'Two') {
      const { store } = this.book(who);
      await store.dispatch(exchange(`${who} ${(this.count += 1)}`));
      if (selectHub(store.getState()).fault !== '') return false;
    } else {
      const done = await syncOver(STAND_INS[who], this.state(who), this.base).catch(() => undefined);
      if (!done) return false;
      // What was typed meanwhile would be another test's.
      this.states.set(who, done.state);
    }
    for (const [name, value] of sent) {
      const known = this.sinceAnswer.get(name) ?? [];
      this.sinceAnswer.set(name, known.includes(value) ? known.slice(known.indexOf(value)) : [value]);
    }
    return true;
  }

  cards(who: Who): Card[] {
    if (who === 'One' || who === 'Two')
      return [...selectCardsByUid(this.book(who).store.getState()).values()];
    return Object.values(this.state(who).cards).flatMap(({ card, state }) =>
      state === 'deleted' ? [] : card,
    );
  }

  private book(who: string) {
    const book = this.books.get(who);
    if (!book) throw new Error(who);
    return book;
  }

  private state(who: StandInKind): StandInState {
    const state = this.states.get(who);
    if (!state) throw new Error(who);
    return state;
  }
}

/** What has been begun, and ends with the test however it ends, the last first. */
const endings: (() => Promise<unknown>)[] = [];
afterEach(async () => {
  while (endings.length > 0) await endings.pop()?.();
});

const numbersIn = (cards: readonly Card[]) =>
  new Map(
    cards.flatMap(({ name, phones }) =>
      Object.values(phones ?? {}).map(({ number }) => [name?.full ?? '', number.slice(-9)] as const),
    ),
  );
const all = [...KINDS, ...BROWSERS] as const;

withServer(
  'four hubs on one store, killed, ended and without their database: nothing answered is lost, and all have all in the end',
  async () => {
    const random = randomOf(Number(process.env['SEED'] ?? 20261130));
    const server = await PostgresServer.start();
    endings.push(() => server.end());
    const first = await HubProcess.make(server.address);
    const hubs = [first, await first.beside(), await first.beside(), await first.beside()];
    endings.push(() => first.remove());
    for (const hub of hubs.slice(1)) endings.push(() => hub.kill());
    // All at once, on a database in which there is nothing.
    await Promise.all(hubs.map((hub) => hub.start()));
    const proxy = await Balancer.start(hubs, random);
    endings.push(() => proxy.end());
    const db = await openStore(first.data, server.address);
    endings.push(() => db.destroy());
    const world = new World(proxy.base, db);
    await world.begin();
    const nowMs = Date.now();
    const watching = await pairBrowser(db, { code: await makeCode(db, nowMs), name: 'Watching' }, nowMs);
    const listener = new Listener(proxy.base, watching?.token ?? '');
    endings.push(() => listener.end());
    for (const who of all) expect([who, await world.sync(who)]).toEqual([who, true]);

    let isOver = false;
    endings.push(async () => void (isOver = true));
    const tally = { synced: 0, failed: 0, ended: 0 };
    const work = all.map(async (who) => {
      while (!isOver) {
        await world.write(who, Math.floor(random() * 4));
        if (await world.sync(who)) tally.synced += 1;
        else tally.failed += 1;
        await pause(random() * 30);
      }
    });
    for (let failure = 0; failure < FAILURES; failure += 1) {
      const before = tally.synced;
      while (tally.synced < before + 10) await pause(10);
      // In the midst of it one of them is of the next version: the others go on, and come back, beside it.
      if (failure === Math.floor(FAILURES / 2)) {
        while (!(await isReady(db))) await pause(50);
        await migrate(db, { kind: 'postgres', schema: 'cordialis', steps: [...STEPS, NEXT] });
      }
      const hub = hubs[Math.floor(random() * hubs.length)];
      if (failure % 4 === 3) await server.restart();
      else if (failure % 4 === 2) {
        // As when one after the other is renewed: it finishes what it has begun.
        expect(await hub?.kill('SIGTERM')).toBe(0);
        tally.ended += 1;
        await hub?.start();
      } else {
        await hub?.kill();
        await pause(random() * 200);
        await hub?.start();
      }
    }
    isOver = true;
    await Promise.all(work);
    // The database may have been ended last: a connection of this test's own that was cut off with it is renewed.
    while (!(await isReady(db))) await pause(50);

    // What was answered is on the hub, or something newer of the same.
    const kept = numbersIn(await allCards(db));
    // Nobody has changed another's: of none there are two.
    const twice = (await allCards(db)).filter(({ phones }) => Object.keys(phones ?? {}).length > 1);
    expect(twice).toEqual([]);
    expect(world.sinceAnswer.size).toBeGreaterThan(0);
    for (const [name, values] of world.sinceAnswer)
      expect([name, values]).toEqual([name, expect.arrayContaining([kept.get(name)])]);
    // Twice round: what one has sent the others fetch.
    for (let round = 0; round < 2; round += 1)
      for (const who of all) expect([who, await world.sync(who)]).toEqual([who, true]);
    for (const who of all) {
      const there = numbersIn(world.cards(who));
      expect([who, Object.fromEntries(world.written)]).toEqual([
        who,
        expect.objectContaining(Object.fromEntries([...there].filter(([name]) => world.written.has(name)))),
      ]);
      expect([who, [...world.written.keys()].filter((name) => !there.has(name))]).toEqual([who, []]);
    }
    expect((await allCards(db)).length).toBe(
      new Set((await allCards(db)).map(({ name }) => name?.full)).size,
    );
    expect(tally.synced).toBeGreaterThan(FAILURES * 10);

    // News are in time, whichever hub one listens to and whichever another writes to; also after the database was away.
    for (let round = 0; round < 6; round += 1) {
      if (round === 3) await server.restart();
      const { heard } = listener;
      await world.write('phone', round % 4);
      while (!(await world.sync('phone'))) await pause(50);
      expect([round, await listener.hears(heard, IN_TIME_MS)]).toEqual([round, true]);
      await pause(150);
    }
    if (process.env['KILLS'] !== undefined)
      console.log(JSON.stringify({ failures: FAILURES, ...tally, lost: 0 }));
  },
  600_000,
);
