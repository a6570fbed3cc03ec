import type { Step, TalkChange } from '@/book/history';
import { errorMessage } from '@/core/base';
import { type Card, isPrivate, type Uid } from '@/core/card';
import { monthOf, type Talk } from '@/core/talks';
import { later, pause, type TextStorage, withTabLock } from '@/platform';

import { HubQueue } from './hubQueue';
import { KEYS } from './keys';
import { mergePending, type Pending, PendingMap } from './pending';
import { PendingSettings } from './pendingSettings';
import { readCards, type StoredCards } from './readCards';
import { ShardWriter } from './shardWriter';
import { batchOfTalks } from './storedTalks';
import { TalkQueue } from './talkQueue';
import { describeWritten, type Merged, type WriterEvents } from './written';

/** How long changes are collected before they are written together, in milliseconds. */
const GATHER_MS = 120;

/** How long after a write that has failed it is tried again, in milliseconds. */
const RETRY_MS = 4000;

/** The most cards in one batch, so that writing a large import never blocks the page. */
const BATCH = 300;

/**
 * Writes what changed, soon after it changed. A batch of cards, the history and talks is stored together or not at
 * all. While it writes, no other page of the same book does; what another page has written since is merged, value by
 * value, not overwritten: a whole card or talk is never put over another version of it.
 */
export class BookWriter {
  private readonly cards = new PendingMap<Card>();
  private readonly others = new Map<string, string>();
  private readonly talks = new PendingMap<Talk>();
  readonly settings = new PendingSettings();
  /** What is done to months of talks as a whole. */
  readonly shards: ShardWriter;
  private readonly queue = new HubQueue();
  /** Talks not yet pushed. */
  readonly talkQueue = new TalkQueue();
  /** Cards that have become private, or no longer are: their talks have to be pushed again. */
  readonly turned = new Set<Uid>();
  /** Whether this browser is paired with a hub. */
  private keepsQueue = false;
  /** Each card as this page last saw it in the store. */
  private readonly seen = new Map<Uid, Card>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** Why the last write failed; undefined where it did not. */
  private fault: string | undefined;
  private afterWrite: (() => void)[] = [];
  private writing: Promise<void> = Promise.resolve();

  constructor(
    private readonly name: string,
    private readonly storage: TextStorage,
    private readonly events: WriterEvents,
  ) {
    this.shards = new ShardWriter({
      ...{ storage, events, talkQueue: this.talkQueue },
      alone: async (work) => {
        await this.flush();
        return this.alone(work);
      },
      queueOf: (month) => this.talkRecords([month]),
    });
  }

  /** Whether something is not in the store yet. */
  get isBusy(): boolean {
    const isWaiting = this.others.size > 0 || this.settings.isWaiting;
    return isWaiting || this.cards.size > 0 || this.talks.size > 0;
  }

  /** Whether a card has unwritten changes. */
  isWaiting(uid: Uid): boolean {
    return this.cards.has(uid);
  }

  /** The text that waits to be written under a key; undefined where none does. */
  waitingText(key: string): string | undefined {
    return this.others.get(key);
  }

  /** Talks that wait to be written, as they shall be; undefined where they go. */
  waitingTalks(): { readonly id: string; readonly after: Talk | undefined }[] {
    return [...this.talks.first(Infinity)].map(([id, { mine }]) => ({ id, after: mine }));
  }

  /**
   * Reads cards as they are in the store, while no page writes, and shows them; what this page has still to write goes
   * on top. Showing them doesn't wait for whoever asked: an edit made in between would begin with a card that is older
   * than what it is compared with, and take away what has come.
   *
   * @returns the cards shown, those that are gone, and records that can't be read, which are set aside
   */
  async readCards(uids: readonly Uid[]): Promise<StoredCards & { readonly removed: readonly Uid[] }> {
    return this.alone(async () => {
      const { cards, damaged } = await readCards(
        this.storage,
        uids.map((uid) => `${KEYS.card}${uid}`),
      );
      if (damaged.length > 0) {
        const aside = damaged.map(({ key, text }) => [`${KEYS.aside}${key}`, text] as const);
        await this.storage.setMany(Object.fromEntries(aside));
        await this.storage.removeMany(damaged.map(({ key }) => key));
      }
      const there = new Map(cards.map((card) => [card.uid, card]));
      const shown: Card[] = [];
      const removed: Uid[] = [];
      for (const uid of uids) {
        this.saw(uid, there.get(uid));
        const card = this.cards.arrived(uid, there.get(uid));
        if (card) shown.push(card);
        else removed.push(uid);
      }
      this.events.onMerged({ cards: shown, removed, talks: [], summaries: [] });
      return { cards: shown, damaged, removed };
    });
  }

  private saw(uid: Uid, card: Card | undefined): void {
    if (card) this.seen.set(uid, card);
    else this.seen.delete(uid);
  }

  /** From now on changes are queued for the hub, or not any more. */
  queueForHub(keepsQueue: boolean): void {
    this.keepsQueue = keepsQueue;
    this.talkQueue.isKept = keepsQueue;
    if (keepsQueue) return;
    this.queue.clear();
    this.talkQueue.clear();
  }

  /** Cards queued in the store by an earlier page or another one. */
  sawQueued(uids: readonly Uid[]): void {
    this.queue.put(uids);
  }

  /** Queues cards in the store as well, though they haven't changed. */
  keepQueued(uids: readonly Uid[]): void {
    this.queue.put(uids);
    for (const uid of uids) this.put(`${KEYS.queue}${uid}`, '1');
  }

  /** Cards to push, each with a number that tells whether it has changed again since; refused ones only once changed. */
  queued(): ReadonlyMap<Uid, number> {
    return this.queue.toPush();
  }

  /** What the hub has refused, by uid with the reason; it stays in the store's queue. */
  refusals(): ReadonlyMap<Uid, string> {
    return this.queue.refusals();
  }

  /** Pushes a refused card no more, unless it is changed again. */
  dropRefused(uid: Uid): Promise<void> {
    return this.unqueue(this.queue.stampOf(uid));
  }

  /** Marks pushed cards as refused, for the reasons given. */
  refuse(pushed: ReadonlyMap<Uid, number>, reasons: Readonly<Record<Uid, string>>): void {
    this.queue.refuse(pushed, reasons);
  }

  /** Marks these as pushed, unless they have changed again. */
  unqueue(pushed: ReadonlyMap<Uid, number>): Promise<void> {
    const done = this.queue.drop(pushed);
    this.writing = this.writing.then(async () => {
      // A card changed in the meantime is queued again, and its record stays.
      const gone = done.flatMap((uid) => (this.queue.has(uid) ? [] : [`${KEYS.queue}${uid}`]));
      if (gone.length > 0) await this.storage.removeMany(gone).catch(() => undefined);
    });
    return this.writing;
  }

  /**
   * Queues cards to be written.
   *
   * @param isFromHub - the hub knows them: it needn't be told
   */
  putCards(upserts: readonly Card[], removed: readonly Uid[] = [], isFromHub = false): void {
    for (const card of upserts) {
      const before = this.cards.get(card.uid)?.mine ?? this.seen.get(card.uid);
      if (this.keepsQueue && before && isPrivate(before) !== isPrivate(card)) this.turned.add(card.uid);
      this.cards.put(card.uid, this.seen.get(card.uid), card);
    }
    for (const uid of removed) this.cards.put(uid, this.seen.get(uid), undefined);
    if (this.keepsQueue && !isFromHub) this.sawQueued([...upserts.map(({ uid }) => uid), ...removed]);
    this.soon();
  }

  /** Queues a step of the history to be written, together with the cards and pieces put with it. */
  putStep(step: Step): void {
    this.put(`${KEYS.step}${step.id}`, JSON.stringify(step));
  }

  /**
   * Queues talks; they go into the shards of their months, beside what other pages have written, and their people's
   * summaries are written with them.
   *
   * @param isFromHub - the hub knows them: it needn't be told
   */
  putTalks(changes: readonly TalkChange[], isFromHub = false): void {
    for (const { before, after } of changes) {
      const id = (after ?? before)?.id;
      if (id === undefined) continue;
      this.talks.put(id, before, after);
      if (isFromHub) continue;
      for (const talk of [before, after]) if (talk) this.talkQueue.put(monthOf(talk), [id]);
    }
    this.soon();
  }

  /** Queues settings to be written. @param before - as this page had them */
  putSettings(before: object, after: object): void {
    this.settings.put(before, after);
    this.soon();
  }

  /** Queues any other record to be written. */
  put(key: string, text: string): void {
    this.others.set(key, text);
    this.soon();
  }

  private soon(): void {
    // What puts nothing isn't saved, either: nobody would ever say that it is.
    if (!this.isBusy) return;
    this.events.onSaving();
    this.timer ??= later(() => void this.flush(), GATHER_MS);
  }

  /** Writes everything queued at once. Resolves when it is in the store, or has failed and is still queued. */
  flush(): Promise<void> {
    if (this.timer !== undefined) clearTimeout(this.timer);
    this.timer = undefined;
    this.writing = this.writing.then(() => this.write());
    return this.writing;
  }

  /**
   * Writes everything queued, however long that takes: a write that fails is tried again.
   *
   * @param isStopped - asked while writes fail
   * @returns whether it is in the store; false where it isn't and was stopped
   */
  async untilWritten(isStopped: () => boolean = () => false): Promise<boolean> {
    for (;;) {
      await this.flush();
      if (this.fault === undefined) return true;
      if (isStopped()) return false;
      await Promise.race([new Promise<void>((resolve) => this.afterWrite.push(resolve)), pause(RETRY_MS)]);
    }
  }

  /** Removes records of its own kinds, after what has been queued before. */
  remove(keys: string[]): Promise<void> {
    for (const key of keys) this.others.delete(key);
    // What isn't removed now is when the store is looked through.
    this.writing = this.writing.then(() => this.storage.removeMany(keys).catch(() => undefined));
    return this.writing;
  }

  /** Runs while no other page of this book writes. */
  private alone<T>(work: () => Promise<T>): Promise<T> {
    return withTabLock(`${this.name}-write`, work);
  }

  /** Marks these talks of a month as pushed, unless they have changed again. */
  unqueueTalks(month: string, pushed: ReadonlyMap<string, number>): Promise<void> {
    this.talkQueue.drop(month, pushed);
    const text = this.talkQueue.textOf(month);
    this.writing = this.writing.then(() =>
      (text === ''
        ? this.storage.removeMany([`${KEYS.talkQueue}${month}`])
        : this.storage.setMany({ [`${KEYS.talkQueue}${month}`]: text })
      ).catch(() => undefined),
    );
    return this.writing;
  }

  /** The stored queue of talks to push. */
  private talkRecords(months: readonly string[]): Record<string, string> {
    if (!this.keepsQueue) return {};
    return Object.fromEntries(
      months.map((month) => [`${KEYS.talkQueue}${month}`, this.talkQueue.textOf(month)]),
    );
  }

  private async write(): Promise<void> {
    const written = new Set<string>();
    this.fault = undefined;
    while (this.isBusy && this.fault === undefined) {
      try {
        for (const key of await this.alone(() => this.writeBatch())) written.add(key);
      } catch (error) {
        this.fault = errorMessage(error);
      }
    }
    // Other pages are told of what is in the store, also where the rest could not be written.
    if (written.size > 0) this.events.onSaved(describeWritten(written, (uid) => this.queue.has(uid)));
    for (const call of this.afterWrite.splice(0)) call();
    if (this.fault === undefined) return;
    this.events.onFailed(this.fault);
    // What is full or locked may be free again by then, and nobody has to do anything for it.
    this.timer ??= later(() => void this.flush(), RETRY_MS);
  }

  /** @returns the keys that were written */
  private async writeBatch(): Promise<string[]> {
    const cards = this.cards.first(BATCH);
    const others = new Map(this.others);
    const talks = this.talks.first(Infinity);
    const toWrite = await this.mergeWithStored(cards);
    const ofTalks = await batchOfTalks(this.storage, talks);
    const ofSettings = await this.settings.prepare(this.storage);
    const batch: Record<string, string> = {
      ...Object.fromEntries(others),
      ...ofSettings.records,
      ...ofTalks.records,
      ...this.talkRecords(ofTalks.months),
    };
    // '' first and the key's removal after: one transaction can't do both, and the first alone is already true.
    for (const [uid, card] of toWrite) {
      batch[`${KEYS.card}${uid}`] = card ? JSON.stringify(card) : '';
      if (this.queue.has(uid)) batch[`${KEYS.queue}${uid}`] = '1';
    }
    await this.storage.setMany(batch);
    const gone = [...toWrite].flatMap(([uid, card]) => (card ? [] : [`${KEYS.card}${uid}`]));
    if (gone.length > 0) await this.storage.removeMany(gone);
    // Only what has not changed again since is done.
    for (const [key, text] of others) if (this.others.get(key) === text) this.others.delete(key);
    this.events.onMerged({
      ...this.noteCards(cards, toWrite),
      talks: this.noteTalks(talks, ofTalks.written),
      summaries: [...ofTalks.summaries],
      settings: ofSettings.wrote(),
    });
    if (ofTalks.damaged.length > 0)
      this.events.onSetAside(ofTalks.damaged.map((month) => `${KEYS.talks}${month}`));
    return [
      ...others.keys(),
      ...Object.keys(ofSettings.records),
      ...Object.keys(ofTalks.records),
      ...[...cards.keys()].map((uid) => `${KEYS.card}${uid}`),
    ];
  }

  /** What to write for each card: this page's changes on top of what the store has. */
  private async mergeWithStored(cards: ReadonlyMap<Uid, Pending<Card>>): Promise<Map<Uid, Card | undefined>> {
    if (cards.size === 0) return new Map();
    const { cards: stored } = await readCards(
      this.storage,
      [...cards.keys()].map((uid) => `${KEYS.card}${uid}`),
    );
    const theirs = new Map(stored.map((card) => [card.uid, card]));
    return new Map([...cards].map(([uid, entry]) => [uid, mergePending(entry, theirs.get(uid))]));
  }

  private noteCards(
    cards: ReadonlyMap<Uid, Pending<Card>>,
    written: ReadonlyMap<Uid, Card | undefined>,
  ): Pick<Merged, 'cards' | 'removed'> {
    const merged: Card[] = [];
    const removed: Uid[] = [];
    for (const [uid, entry] of cards) {
      const stored = written.get(uid);
      this.saw(uid, stored);
      const { isNew, shown } = this.cards.wrote(uid, entry, stored);
      if (isNew && shown) merged.push(shown);
      else if (isNew) removed.push(uid);
    }
    return { cards: merged, removed };
  }

  private noteTalks(
    talks: ReadonlyMap<string, Pending<Talk>>,
    written: ReadonlyMap<string, Talk | undefined>,
  ): TalkChange[] {
    return [...talks].flatMap(([id, entry]): TalkChange[] => {
      const { isNew, shown } = this.talks.wrote(id, entry, written.get(id));
      if (!isNew) return [];
      return [{ ...(entry.mine ? { before: entry.mine } : {}), ...(shown ? { after: shown } : {}) }];
    });
  }
}
