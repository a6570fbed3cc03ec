// Everything at once: two pages of one browser, another browser, two devices, a hub; imports, merges, long changes, undo and
// redo, lost answers, refused writes, pages that are killed.
import { changeBook, changeInBatches, finishLong, redo, undo } from '@/book/commit';
import { importCards } from '@/book/formats';
import { edited, type Step as HistoryStep } from '@/book/history';
import { refreshFromStore } from '@/book/openBook';
import { selectCardsByUid, selectUnfinished } from '@/book/state';
import { KEYS, type Written } from '@/book/store';
import { exchange } from '@/book/sync/exchange';
import { mergeInBook } from '@/book/tidy';
import { type Card, idFor, newCard, parseName } from '@/core/card';
import { chooseValues } from '@/core/formats';

import { World } from '../convergence/history';
import { type AtWork, Life, SlowStorage } from './page';

const PAGES = ['One', 'OneB', 'Two'] as const;
type Page = (typeof PAGES)[number];
type Device = 'phone' | 'computer';
const NOW = '2026-11-26T10:00:00Z';

/** What can be done, by whom; `at` chooses among cards. */
export type Step =
  | {
      readonly who: Page;
      readonly what:
        | 'edit'
        | 'long'
        | 'import'
        | 'merge'
        | 'new'
        | 'delete'
        | 'undo'
        | 'redo'
        | 'flush'
        | 'hear'
        | 'kill'
        | 'refuse'
        | 'sync'
        | 'lost'
        | 'finish';
      readonly at: number;
    }
  | { readonly who: Device; readonly what: 'rename' | 'new' | 'sync' | 'lost'; readonly at: number };

type Book = ReturnType<World['book']>;

/** A page of a browser, which can be killed. */
interface Open {
  readonly book: Book;
  readonly inbox: Written[];
  readonly life: Life;
}

/** Nothing of the book's gives way to the file. */
const keepMine = (now: Card, merged: Card): Card =>
  chooseValues(now, merged, ({ isConflict, isEntry }) => (!isConflict ? 'file' : isEntry ? 'both' : 'mine'));

/** Everybody who has the book, and what has been written. */
export class Household {
  private readonly pages = new Map<Page, Open>();
  private readonly atWork: Readonly<Record<'One' | 'Two', AtWork>> = { One: new Map(), Two: new Map() };
  private readonly asked: Promise<unknown>[] = [];
  /** What was written and nobody has knowingly taken away; of pages with the step that it stands for. */
  readonly tokens = new Map<string, { readonly page?: Page; readonly step?: string }>();
  private readonly dropped = new Set<string>();
  wasKilled = false;
  private written = 0;

  private constructor(
    readonly world: World,
    private readonly storages: Readonly<Record<'One' | 'Two', SlowStorage>>,
  ) {}

  static async open(seed: number): Promise<Household> {
    const made: SlowStorage[] = [];
    const world = await World.open(() => {
      const storage = new SlowStorage(seed + made.length);
      made.push(storage);
      return storage;
    });
    const [one, two] = made;
    if (!one || !two) throw new Error('no storage');
    const all = new Household(world, { One: one, Two: two });
    for (const page of PAGES) await all.openPage(page);
    return all;
  }

  private storageOf(page: Page): SlowStorage {
    return this.storages[this.browserOf(page)];
  }

  private browserOf(page: Page): 'One' | 'Two' {
    return page === 'Two' ? 'Two' : 'One';
  }

  private async openPage(page: Page): Promise<void> {
    const storage = this.storageOf(page);
    const life = new Life(this.atWork[this.browserOf(page)]);
    let made = 0;
    const prefix = `${PAGES.indexOf(page)}${String((this.written += 1)).padStart(3, '0')}`;
    const newUid = () =>
      `urn:uuid:00000000-0000-4000-8${'000'}-${prefix}${String((made += 1)).padStart(8, '0')}`;
    const inbox: Written[] = [];
    const others = () =>
      [...this.pages].flatMap(([name, one]) =>
        name !== page && this.storageOf(name) === storage ? [one] : [],
      );
    const tell = (written: Written) => {
      if (life.isDead) return;
      for (const other of others()) other.inbox.push(written);
    };
    const more = { newUid, ifAlone: life.ifAlone, nowMs: () => (this.written += 1) };
    const book = await this.world.openTab(page, life.lend(storage), more, tell);
    this.pages.set(page, { book, inbox, life });
  }

  private page(page: Page): Open {
    const open = this.pages.get(page);
    if (!open) throw new Error(page);
    return open;
  }

  private cards(page: Page): Card[] {
    return [...selectCardsByUid(this.page(page).book.store.getState()).values()].sort((a, b) =>
      a.uid < b.uid ? -1 : 1,
    );
  }

  /** Somebody has taken away what stands in a text, and has seen it. */
  private drop(text: string): void {
    for (const [, token = ''] of text.matchAll(/"(t\d+x)/g)) {
      this.tokens.delete(token);
      this.dropped.add(token);
    }
  }

  private note(page: Page, token: string, step: Promise<HistoryStep | undefined>): void {
    this.asked.push(
      step.then((one) => {
        if (one && !this.dropped.has(token)) this.tokens.set(token, { page, step: one.id });
      }),
    );
  }

  private fill =
    (token: string) =>
    (now: Card): Card => ({
      ...now,
      nicknames: { ...now.nicknames, [idFor('nicknames', { name: token }, now.nicknames)]: { name: token } },
    });

  async do(step: Step): Promise<void> {
    const token = `t${(this.written += 1)}x`;
    if (step.who === 'phone' || step.who === 'computer')
      return this.device(step.who, step.what, step.at, token);
    const { who, at } = step;
    const { book, inbox, life } = this.page(who);
    const { store, writer } = book;
    const cards = this.cards(who).filter(({ kind }) => kind !== 'group');
    const card = cards[at % Math.max(1, cards.length)];
    const label = token;
    switch (step.what) {
      case 'edit':
        if (card)
          this.note(
            who,
            token,
            store.dispatch(changeBook({ cause: 'edit', label, edits: [edited(card.uid, this.fill(token))] })),
          );
        return;
      case 'long': {
        const edits = cards.map(({ uid }) => edited(uid, this.fill(token)));
        const options = { pieceSize: 1, isStopped: () => life.isDead };
        this.note(who, token, store.dispatch(changeInBatches({ cause: 'edit', label, edits }, options)));
        return;
      }
      case 'import':
        if (card) {
          const file = {
            ...newCard(card.uid, NOW),
            name: card.name ?? {},
            nicknames: { f1: { name: token } },
          };
          this.note(who, token, store.dispatch(importCards([file], token, { choose: keepMine })));
        }
        return;
      case 'merge': {
        const other = cards[(at + 1) % Math.max(1, cards.length)];
        if (!card || !other || card === other) return;
        // Of two names one stays, as whoever merges sees.
        for (const { name } of [card, other]) this.drop(JSON.stringify(name ?? {}));
        await store.dispatch(mergeInBook([[card.uid, other.uid]]));
        return;
      }
      case 'new': {
        const uid = `urn:uuid:00000000-0000-4000-9000-${String(this.written).padStart(12, '0')}`;
        const fresh: Card = {
          ...newCard(uid, NOW),
          kind: 'individual',
          name: { full: `New ${this.written}` },
        };
        this.note(
          who,
          token,
          store.dispatch(
            changeBook({ cause: 'add', label, edits: [{ uid, apply: () => this.fill(token)(fresh) }] }),
          ),
        );
        return;
      }
      case 'delete':
        if (card) {
          this.drop(JSON.stringify(card));
          await store.dispatch(
            changeBook({ cause: 'delete', label, edits: [edited(card.uid, () => undefined)] }),
          );
        }
        return;
      case 'undo':
      case 'redo': {
        const before = new Map(this.cards(who).map((one) => [one.uid, one]));
        await store.dispatch(step.what === 'undo' ? undo() : redo());
        const after = new Map(this.cards(who).map((one) => [one.uid, one]));
        // A card that goes with its step goes with all that stood on it; a name that comes back takes the other's place.
        for (const [uid, one] of before) {
          if (!after.has(uid)) this.drop(JSON.stringify(one));
          else if (JSON.stringify(after.get(uid)?.name) !== JSON.stringify(one.name))
            this.drop(JSON.stringify(one.name));
        }
        return;
      }
      case 'flush':
        this.asked.push(writer.flush());
        return;
      case 'hear':
        this.asked.push(this.hear(who));
        return;
      case 'refuse': {
        const storage = this.storageOf(who);
        storage.fails = !storage.fails;
        return;
      }
      case 'finish':
        for (const one of selectUnfinished(store.getState()))
          this.note(who, one.label, store.dispatch(finishLong(one)));
        return;
      case 'kill':
        life.isDead = true;
        inbox.length = 0;
        this.wasKilled = true;
        await this.openPage(who);
        return;
      default: {
        // Exchanging waits for the store.
        this.storageOf(who).fails = false;
        await this.syncPage(who, step.what === 'lost');
      }
    }
  }

  private async device(who: Device, what: string, at: number, token: string): Promise<void> {
    if (what === 'sync' || what === 'lost') return this.world.sync(who, what === 'lost');
    const cards = this.world.cards(who);
    const card = cards[at % Math.max(1, cards.length)];
    const full = `${token} Unlike${this.written}`;
    if (what === 'new') {
      const uid = `urn:uuid:00000000-0000-4000-a000-${String(this.written).padStart(12, '0')}`;
      await this.world.edit(who, {
        ...newCard(uid, NOW),
        kind: 'individual',
        name: { ...(parseName(full) ?? {}), full },
      });
      this.tokens.set(token, {});
    } else if (card) {
      this.drop(JSON.stringify(card.name ?? {}));
      await this.world.edit(who, { ...card, name: { ...(parseName(full) ?? {}), full } });
    }
  }

  private async syncPage(page: Page, isLost = false): Promise<void> {
    this.world.loseAnswers(isLost);
    const { store } = this.page(page).book;
    await store.dispatch(exchange(page === 'Two' ? 'Two' : 'One'));
    this.world.loseAnswers(false);
  }

  private async hear(page: Page): Promise<void> {
    const { book, inbox } = this.page(page);
    for (const { uids, steps, settings, months, summaries, queued } of inbox.splice(0)) {
      book.writer.sawQueued(queued);
      await book.store.dispatch(refreshFromStore(uids, steps, settings, { months, summaries }));
    }
  }

  private async settle(): Promise<void> {
    for (const storage of Object.values(this.storages)) storage.fails = false;
    for (let round = 0; round < 4; round += 1) {
      for (const { book } of this.pages.values()) await book.writer.flush();
      for (const page of PAGES) await this.hear(page);
    }
  }

  /** Everything is over, written, heard of and exchanged. */
  async end(): Promise<boolean> {
    for (let round = 0; round < 3; round += 1) {
      await this.settle();
      await Promise.race([Promise.all(this.asked), new Promise((resolve) => setTimeout(resolve, 4))]);
      for (const page of PAGES) {
        const { store } = this.page(page).book;
        for (const one of selectUnfinished(store.getState()))
          this.note(page, one.label, store.dispatch(finishLong(one)));
      }
    }
    await this.settle();
    for (let round = 0; round < 6; round += 1) {
      const before = await this.world.stamp();
      for (const page of PAGES) {
        await this.syncPage(page);
        await this.settle();
      }
      for (const who of ['phone', 'computer'] as const) await this.world.sync(who);
      for (const page of PAGES) {
        await this.syncPage(page);
        await this.settle();
      }
      if ((await this.world.stamp()) === before) return true;
    }
    return false;
  }

  /** The cards that a browser has in its storage. */
  stored(browser: 'One' | 'Two'): Card[] {
    return [...this.storages[browser].entries].flatMap(([key, text]) =>
      key.startsWith(KEYS.card) && text !== '' ? [JSON.parse(text) as Card] : [],
    );
  }

  /** The cards as a page shows them. */
  shown(page: Page): Card[] {
    return this.cards(page);
  }

  /** The state of the step of a token; undefined where its storage has none. */
  stateOf({
    page,
    step,
  }: {
    readonly page?: Page;
    readonly step?: string;
  }): HistoryStep['state'] | undefined {
    if (page === undefined || step === undefined) return 'done';
    const text = this.storageOf(page).entries.get(`${KEYS.step}${step}`) ?? '';
    return text === '' ? undefined : (JSON.parse(text) as HistoryStep).state;
  }
}
