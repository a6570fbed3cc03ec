/** @jest-environment node */
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import fc from 'fast-check';

import { changeBook, selectCardsByUid } from '@/book';
import { exchange } from '@/book/hub/exchange';
import { makeHubClient } from '@/book/hub/hubClient';
import { pairWithHub } from '@/book/hub/pairing';
import { openBook } from '@/book/openBook';
import { MemoryStorage, openTestBook } from '@/book/testing';
import { type Card, newCard, parseName } from '@/core/card';
import { pushSchema } from '@/core/exchange';
import { viewOf } from '@/hub/passports/deviceView';
import { addDevice, listDevices } from '@/hub/passports/passports';
import { givePull } from '@/hub/peers/givePull';
import { findBrowser, makeCode, pairBrowser } from '@/hub/peers/pairing';
import { takePush } from '@/hub/peers/takePush';
import { addHeld, editHeld, removeHeld } from '@/hub/standins/editHeld';
import { STAND_INS } from '@/hub/standins/kinds';
import type { StandInKind, StandInState } from '@/hub/standins/standIn';
import { syncStandIn } from '@/hub/standins/syncStandIn';
import { allCards } from '@/hub/store/cards';
import { type HubDb, openStore } from '@/hub/store/openStore';
import { HubFault, type HubQuestion } from '@/platform';

import { openSession } from './sessionInProcess';

/** Histories tried here; HISTORIES=2000 SEED=7 tries more, and others. */
const HISTORIES = Number(process.env['HISTORIES'] ?? 60);
/** The same histories each time, unless others are asked for. */
const SEED = Number(process.env['SEED'] ?? 20261126);
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
  readonly what: 'mail' | 'number' | 'rename' | 'delete' | 'new' | 'sync' | 'lost';
}

const stepOf: fc.Arbitrary<Step> = fc.record({
  who: fc.constantFrom<Who>(...KINDS, ...BROWSERS),
  which: fc.nat(3),
  what: fc.constantFrom(
    ...(['mail', 'mail', 'number', 'rename', 'delete', 'new', 'sync', 'sync', 'sync', 'lost'] as const),
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

/** Three devices with habits of their own and two browsers, around one hub. */
class World {
  private readonly states = new Map<StandInKind, StandInState>();
  private readonly books = new Map<string, ReturnType<typeof openTestBook>>();
  private isAnswerLost = false;

  private constructor(readonly db: HubDb) {}

  static async open(): Promise<World> {
    const world = new World(await openStore(join(folder, String((count += 1)))));
    for (const name of BROWSERS) await world.addBrowser(name, name === 'One' ? START : []);
    for (const kind of KINDS) {
      const { name, groups } = STAND_INS[kind];
      const { user, password } = await addDevice(world.db, { name, groups, direction: 'both' }, NOW);
      const empty = { syncToken: '', isOffline: false, next: NOW, cards: {} };
      world.states.set(kind, { user, password, ...empty });
      await world.sync(kind);
    }
    return world;
  }

  private async addBrowser(name: string, cards: readonly Card[]): Promise<void> {
    const ask = async ({ path, token = '', body }: HubQuestion): Promise<unknown> => {
      if (path === '/pair') return pairBrowser(this.db, body as { code: string; name: string }, 0);
      const browser = await findBrowser(this.db, token);
      if (!browser) throw new HubFault('nobody', 401);
      const url = new URL(path, 'http://hub.example');
      if (url.pathname === '/exchange/pull')
        return JSON.parse(
          JSON.stringify(await givePull(this.db, browser, Number(url.searchParams.get('since')))),
        );
      const push = pushSchema.parse(JSON.parse(JSON.stringify(body)));
      const refused = await takePush({ db: this.db, browser, now: NOW, country: 'GB' }, push);
      if (this.isAnswerLost) throw new HubFault('the hub can’t be reached', 0);
      return { refused };
    };
    const hub = makeHubClient(ask, () => () => undefined);
    let uid = 0;
    const newUid = () =>
      `urn:uuid:00000000-0000-4000-8${name === 'One' ? 1 : 2}00-${String((uid += 1)).padStart(12, '0')}`;
    const book = openTestBook(new MemoryStorage(), cards, { hub, newUid });
    await book.store.dispatch(openBook());
    await book.store.dispatch(pairWithHub(await makeCode(this.db, 0), name));
    this.books.set(name, book);
    await this.sync(name as Who);
  }

  private book(who: Who): ReturnType<typeof openTestBook> {
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

  cards(who: Who): Card[] {
    if (isBrowser(who)) return [...selectCardsByUid(this.book(who).store.getState()).values()];
    return Object.values(this.state(who).cards).flatMap(({ card, state }) =>
      state === 'deleted' ? [] : card,
    );
  }

  async edit(who: Who, card: Card): Promise<void> {
    if (isBrowser(who)) {
      await this.book(who).store.dispatch(changeBook({ cause: 'edit', label: 'Edited', upserts: [card] }));
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

  async remove(who: Who, uid: string): Promise<void> {
    if (!isBrowser(who)) this.states.set(who, removeHeld(this.state(who), uid));
    else
      await this.book(who).store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', removed: [uid] }));
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
    if (what === 'sync') await world.sync(who);
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

test('whatever devices and browsers do, and whenever they can’t reach the hub, all come to the same book and nothing written is lost', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(stepOf, { minLength: 1, maxLength: 14 }), async (steps) => {
      const world = await World.open();
      try {
        const { tokens } = await live(world, steps);
        for (let round = 0; round < 4; round += 1)
          for (const who of [...KINDS, ...BROWSERS]) await world.sync(who);
        const hub = await allCards(world.db);
        for (const who of BROWSERS) expect(byUid(world.cards(who))).toEqual(byUid(hub));
        for (const device of await listDevices(world.db)) {
          const kind = KINDS.find((one) => STAND_INS[one].name === device.name) ?? 'phone';
          const served = [...(await viewOf(world.db, device)).byUid.values()];
          expect(world.cards(kind).length).toBe(served.length);
        }
        // Nobody is there twice.
        const names = hub.map(
          ({ name }) => name?.components?.map(({ value }) => value).join(' ') ?? name?.full,
        );
        expect(new Set(names).size).toBe(names.length);
        const everything = textOf(hub) + (await world.settled());
        for (const token of tokens) expect(everything).toContain(token);
        // And then it is quiet.
        const before = JSON.stringify(hub);
        for (const who of [...KINDS, ...BROWSERS]) await world.sync(who);
        expect(JSON.stringify(await allCards(world.db))).toBe(before);
      } finally {
        await world.db.destroy();
      }
    }),
    { numRuns: HISTORIES, seed: SEED },
  );
}, 600_000);
