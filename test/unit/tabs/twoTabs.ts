// Two pages of one browser over one storage, with whatever can come between: edits, forms left open, long changes, talks,
// undo and redo, writes that are refused, pages that are killed at any moment.
import { changeBook, changeInBatches, finishLong, redo, undo } from '@/book/commit';
import {
  added,
  type CardChange,
  changed,
  edited,
  removed,
  type Step as HistoryStep,
  type StepPiece,
  type TalkChange,
} from '@/book/history';
import { openBook, refreshFromStore } from '@/book/openBook';
import { selectCardsByUid, selectShards, selectUnfinished } from '@/book/state';
import { KEYS, type Written } from '@/book/store';
import { openTestBook } from '@/book/testing';
import { type Card, idFor, newCard } from '@/core/card';
import { monthOf, parseTalk, summarise, type Talk, type TalkSummary, talksWith } from '@/core/talks';

import { type AtWork, Life, SlowStorage } from './page';

export const UIDS = ['ada', 'bo', 'cy', 'di'] as const;

const tick = async (count: number) => {
  for (let i = 0; i < count; i += 1) await null;
};

let made = 0;

/** One page, which can be killed. */
class Tab {
  readonly inbox: Written[] = [];
  readonly forms: { before: Card; field: string }[] = [];
  readonly life: Life;
  readonly book;

  constructor(storage: SlowStorage, tellOthers: (from: Tab, written: Written) => void, atWork: AtWork) {
    this.life = new Life(atWork);
    const newUid = () => `urn:uuid:00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`;
    const services = { newUid, nowMs: () => (made += 1), ifAlone: this.life.ifAlone };
    const mine = this.life.lend(storage);
    this.book = openTestBook(mine, undefined, services, (written) => tellOthers(this, written));
  }

  get cards() {
    return selectCardsByUid(this.book.store.getState());
  }

  async hear(): Promise<void> {
    const { store } = this.book;
    for (const { uids, steps, settings, months, summaries } of this.inbox.splice(0))
      await store.dispatch(refreshFromStore(uids, steps, settings, { months, summaries }));
  }
}

/** What can be done; `tab` 0 or 1. */
export type Step =
  | {
      readonly kind: 'edit' | 'open' | 'save' | 'long' | 'new' | 'delete';
      readonly tab: number;
      readonly at: number;
    }
  | {
      readonly kind: 'undo' | 'redo' | 'flush' | 'hear' | 'kill' | 'finish' | 'giveUp';
      readonly tab: number;
    }
  | { readonly kind: 'note' | 'move' | 'forget'; readonly tab: number; readonly at: number }
  | { readonly kind: 'wait'; readonly ticks: number }
  | { readonly kind: 'refuse' };

/** The two pages, and what has been asked of them. */
export class TwoTabs {
  readonly storage: SlowStorage;
  private tabs: Tab[] = [];
  private count = 0;
  wasKilled = false;
  /** By the id of its step: the field that an edit has filled, by the cards it has filled it on. */
  readonly filled = new Map<string, { field: string; uids: readonly string[] }>();
  private readonly asked: Promise<unknown>[] = [];
  /** What the long changes fill, by the names of their steps. */
  private readonly long = new Map<string, readonly string[]>();
  private readonly atWork: AtWork = new Map();

  constructor(seed: number) {
    this.storage = new SlowStorage(seed);
  }

  private newTab(): Tab {
    const tell = (from: Tab, written: Written) => {
      if (from.life.isDead) return;
      for (const tab of this.tabs) if (tab !== from) tab.inbox.push(written);
    };
    return new Tab(this.storage, tell, this.atWork);
  }

  async start(): Promise<void> {
    const first = this.newTab();
    await first.book.store.dispatch(openBook());
    await first.book.store.dispatch(
      changeBook({
        cause: 'add',
        label: 'Added',
        edits: UIDS.map((uid) => added({ ...newCard(uid, '2026-01-01T00:00:00Z'), name: { full: uid } })),
      }),
    );
    await first.book.writer.flush();
    this.tabs = [first, this.newTab()];
    await this.tabs[1]?.book.store.dispatch(openBook());
  }

  private uidAt(tab: Tab, at: number): string | undefined {
    const uids = tab.cards.uids();
    return uids.length === 0 ? undefined : uids.sort()[at % uids.length];
  }

  private note(change: Promise<HistoryStep | undefined>, field: string, uids: readonly string[]): void {
    this.asked.push(
      change.then((one) => {
        if (one) this.filled.set(one.id, { field, uids });
      }),
    );
  }

  private fill =
    (field: string) =>
    (now: Card): Card => ({
      ...now,
      phones: { ...now.phones, [idFor('phones', { number: field }, now.phones)]: { number: field } },
    });

  async do(step: Step): Promise<void> {
    if (step.kind === 'wait') return tick(step.ticks);
    if (step.kind === 'refuse') {
      this.storage.fails = !this.storage.fails;
      return;
    }
    const tab = this.tabs[step.tab];
    if (!tab) return;
    const { store, writer } = tab.book;
    const field = `p${(this.count += 1)}`;
    const uid = 'at' in step ? this.uidAt(tab, step.at) : undefined;
    switch (step.kind) {
      case 'edit':
        if (uid !== undefined)
          this.note(
            store.dispatch(
              changeBook({ cause: 'edit', label: field, edits: [edited(uid, this.fill(field))] }),
            ),
            field,
            [uid],
          );
        return;
      case 'open': {
        const before = uid === undefined ? undefined : tab.cards.get(uid);
        if (before) tab.forms.push({ before, field });
        return;
      }
      case 'save': {
        const form = tab.forms.shift();
        // Saved over a deletion, a form brings back all that stood in it, undone steps included.
        if (!form || !tab.cards.get(form.before.uid)) return;
        const after = this.fill(form.field)(form.before);
        const edits = [changed(form.before, after)];
        this.note(store.dispatch(changeBook({ cause: 'edit', label: form.field, edits })), form.field, [
          form.before.uid,
        ]);
        return;
      }
      case 'long': {
        const uids = tab.cards.uids();
        const edits = uids.map((one) => edited(one, this.fill(field)));
        this.long.set(field, uids);
        const options = { pieceSize: 2, isStopped: () => tab.life.isDead };
        const request = { cause: 'edit' as const, label: field, edits };
        this.note(store.dispatch(changeInBatches(request, options)), field, uids);
        return;
      }
      case 'new':
        await store.dispatch(
          changeBook({
            cause: 'add',
            label: 'New',
            edits: [added(newCard(`new-${field}`, '2026-01-01T00:00:00Z'))],
          }),
        );
        return;
      case 'delete': {
        const card = uid === undefined ? undefined : tab.cards.get(uid);
        if (card)
          await store.dispatch(changeBook({ cause: 'delete', label: 'Gone', edits: [removed(card)] }));
        return;
      }
      case 'undo':
      case 'redo':
        await this.settle();
        await store.dispatch(step.kind === 'undo' ? undo() : redo());
        await this.settle();
        return;
      case 'finish':
      case 'giveUp':
        this.endUnfinished(tab, step.kind === 'finish');
        return;
      case 'flush':
        this.asked.push(writer.flush());
        return;
      case 'hear':
        this.asked.push(tab.hear());
        return;
      case 'kill': {
        tab.life.isDead = true;
        this.wasKilled = true;
        const next = this.newTab();
        this.tabs[step.tab] = next;
        await next.book.store.dispatch(openBook());
        return;
      }
      default:
        this.talk(tab, step.kind, step.at, uid);
    }
  }

  private talk(tab: Tab, kind: 'note' | 'move' | 'forget', at: number, uid: string | undefined): void {
    const known = Object.values(selectShards(tab.book.store.getState())).flat();
    const before = known[at % Math.max(1, known.length)];
    const day = `2026-0${1 + (at % 6)}-1${at % 10}`;
    let change: TalkChange | undefined;
    if (kind === 'note' && uid !== undefined)
      change = {
        after: { id: `t${(made += 1)}`, kind: 'call', direction: 'out', day, with: [uid], said: `${at}` },
      };
    else if (kind === 'move' && before) change = { before, after: { ...before, day, said: `moved ${at}` } };
    else if (kind === 'forget' && before) change = { before };
    if (!change) return;
    this.asked.push(tab.book.store.dispatch(changeBook({ cause: 'edit', label: kind, talks: [change] })));
  }

  /** What a killed page has left half done is finished or undone. */
  private endUnfinished(tab: Tab, isFinished: boolean): void {
    const { store } = tab.book;
    for (const step of selectUnfinished(store.getState()))
      if (isFinished)
        this.note(store.dispatch(finishLong(step)), step.label, this.long.get(step.label) ?? []);
      else this.asked.push(store.dispatch(undo(step.id)));
  }

  /** Everything is written and heard of on both sides. */
  async settle(): Promise<void> {
    this.storage.fails = false;
    for (let round = 0; round < 4; round += 1) {
      for (const tab of this.tabs) await tab.book.writer.flush();
      for (const tab of this.tabs) await tab.hear();
    }
  }

  async end(): Promise<void> {
    await this.settle();
    // What was asked of a page that has been killed never ends.
    await Promise.race([Promise.all(this.asked), new Promise((resolve) => setTimeout(resolve, 5))]);
    await this.settle();
    this.tabs.forEach((tab, i) => this.endUnfinished(tab, (this.count + i) % 2 === 0));
    await Promise.race([Promise.all(this.asked), new Promise((resolve) => setTimeout(resolve, 5))]);
    await this.settle();
  }

  /** The cards in the store. */
  stored(): Map<string, Card> {
    const cards = new Map<string, Card>();
    for (const [key, text] of this.storage.entries)
      if (key.startsWith(KEYS.card) && text !== '')
        cards.set(key.slice(KEYS.card.length), JSON.parse(text) as Card);
    return cards;
  }

  private records(prefix: string): [key: string, text: string][] {
    return [...this.storage.entries].filter(([key, text]) => key.startsWith(prefix) && text !== '');
  }

  /** The steps in the store, each with all it did to cards. */
  steps(): (HistoryStep & { readonly changes: readonly CardChange[] })[] {
    const pieces = this.records(KEYS.piece);
    return this.records(KEYS.step).map(([, text]) => {
      const step = JSON.parse(text) as HistoryStep;
      const own = pieces.filter(([key]) => key.startsWith(`${KEYS.piece}${step.id}:`));
      return { ...step, changes: own.flatMap(([, piece]) => (JSON.parse(piece) as StepPiece).cards) };
    });
  }

  /** What long changes have still to do. */
  todo(): string[] {
    return this.records(KEYS.todo).map(([key]) => key);
  }

  talks(): Talk[] {
    return [...this.storage.entries]
      .filter(([key]) => key.startsWith(KEYS.talks))
      .flatMap(([key, text]) =>
        (JSON.parse(text) as unknown[]).flatMap((value) => {
          const talk = parseTalk(value);
          return talk && monthOf(talk) === key.slice(KEYS.talks.length) ? [talk] : [];
        }),
      );
  }

  summaries(): [uid: string, stored: TalkSummary | undefined, made: TalkSummary | undefined][] {
    const talks = this.talks();
    const uids = new Set([...UIDS, ...talks.flatMap((talk) => talk.with)]);
    return [...uids].map((uid) => {
      const text = this.storage.entries.get(`${KEYS.summary}${uid}`) ?? '';
      const stored = text === '' ? undefined : (JSON.parse(text) as TalkSummary);
      return [uid, stored, summarise(talksWith(talks, [uid]))];
    });
  }

  /** The cards as each page shows them. */
  shown(): ReadonlyMap<string, Card>[] {
    return this.tabs.map((tab) => new Map(tab.cards.values().map((card) => [card.uid, card])));
  }
}
