import type { Change, TalkChange } from '@/book/history';
import { errorMessage } from '@/core/base';
import { type Card, diffJson, isPrivate, rebaseJson, type Uid } from '@/core/card';
import { monthOf, type Talk } from '@/core/talks';
import { type TextStorage, withTabLock } from '@/platform';

import { KEYS } from './keys';
import { readCards } from './readCards';
import { firstOf, intakesOf, parseList, type StoredTalk } from './storedTalks';
import { TalkQueue } from './talkQueue';

/** How long changes are collected before they are written together, in milliseconds. */
const GATHER_MS = 120;

/** The most cards in one batch, so that writing a large import never blocks the page. */
const BATCH = 300;

/** Letters of a month such as 2026-11. */
const MONTH_LENGTH = 7;

/** What other pages need to know after a write. */
export interface Written {
  readonly uids: readonly Uid[];
  readonly changeIds: readonly string[];
  readonly settings: boolean;
  /** Months with talks that are new or have changed. */
  readonly months: readonly string[];
  /** Cards with a new summary of their talks. */
  readonly summaries: readonly Uid[];
  /** Cards still to be pushed to the hub. */
  readonly queued: readonly Uid[];
  /** Whether the pairing with the hub has changed. */
  readonly hub: boolean;
}

/** Events of the writer. */
export interface WriterEvents {
  onSaving(): void;
  onSaved(written: Written): void;
  onFailed(message: string): void;
  /** Another page wrote the same card first; this is the merged result. */
  onMerged(cards: readonly Card[]): void;
}

/**
 * Writes what changed, soon after it changed. A change of up to BATCH cards and its history are stored together or
 * not at all; for a larger one the history comes first, so that it can be undone. While it writes, no other page of
 * the same book does; what another page has written since is merged, value by value, not overwritten.
 */
export class BookWriter {
  private readonly cards = new Map<Uid, Card | undefined>();
  private readonly others = new Map<string, string>();
  /** Talks by month and id; undefined for one that goes from its month. */
  private readonly talks = new Map<string, Talk | undefined>();
  /** Cards with unpushed changes, with a number that grows with every change. */
  private readonly queue = new Map<Uid, number>();
  private queueStamp = 0;
  /** Talks not yet pushed. */
  readonly talkQueue = new TalkQueue();
  /** Cards that have become private, or no longer are: their talks have to be pushed again. */
  readonly turned = new Set<Uid>();
  /** Whether this browser is paired with a hub. */
  private keepsQueue = false;
  /** Each card as this page last saw it in the store. */
  private readonly seen = new Map<Uid, Card>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private writing: Promise<void> = Promise.resolve();

  constructor(
    private readonly name: string,
    private readonly storage: TextStorage,
    private readonly events: WriterEvents,
  ) {}

  /** Whether something is not in the store yet. */
  get isBusy(): boolean {
    return this.cards.size > 0 || this.others.size > 0 || this.talks.size > 0;
  }

  /** Whether a card has unwritten changes. */
  isWaiting(uid: Uid): boolean {
    return this.cards.has(uid);
  }

  /** Notes cards as they stand in the store. */
  sawCards(cards: readonly Card[], removed: readonly Uid[] = []): void {
    for (const card of cards) this.seen.set(card.uid, card);
    for (const uid of removed) this.seen.delete(uid);
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
    for (const uid of uids) this.queue.set(uid, (this.queueStamp += 1));
  }

  /** Cards to push, each with a number that tells whether it has changed again since. */
  queued(): ReadonlyMap<Uid, number> {
    return this.queue;
  }

  /** Marks these as pushed, unless they have changed again. */
  unqueue(pushed: ReadonlyMap<Uid, number>): Promise<void> {
    const isAsPushed = ([uid, stamp]: [Uid, number]) => this.queue.get(uid) === stamp;
    const done = [...pushed].filter(isAsPushed);
    for (const [uid] of done) this.queue.delete(uid);
    this.writing = this.writing.then(async () => {
      // A card changed in the meantime is queued again, and its record stays.
      const gone = done.flatMap(([uid]) => (this.queue.has(uid) ? [] : [`${KEYS.queue}${uid}`]));
      if (gone.length > 0) await this.storage.removeMany(gone).catch(() => undefined);
    });
    return this.writing;
  }

  /**
   * Queues cards of a change that has been queued before.
   *
   * @param isFromHub - the hub knows them: it needn't be told
   */
  putCards(upserts: readonly Card[], removed: readonly Uid[] = [], isFromHub = false): void {
    for (const card of upserts) {
      const before = this.cards.get(card.uid) ?? this.seen.get(card.uid);
      if (this.keepsQueue && before && isPrivate(before) !== isPrivate(card)) this.turned.add(card.uid);
      this.cards.set(card.uid, card);
    }
    for (const uid of removed) this.cards.set(uid, undefined);
    if (this.keepsQueue && !isFromHub) this.sawQueued([...upserts.map(({ uid }) => uid), ...removed]);
    this.events.onSaving();
    this.timer ??= setTimeout(() => void this.flush(), GATHER_MS);
  }

  /** Queues a change to be written. */
  putChange(change: Change, upserts: readonly Card[], removed: readonly Uid[], isFromHub = false): void {
    this.putCards(upserts, removed, isFromHub);
    this.put(`${KEYS.change}${change.id}`, JSON.stringify(change));
  }

  /**
   * Queues talks; they go into the shards of their months, beside what other pages have written.
   *
   * @param isFromHub - the hub knows them: it needn't be told
   */
  putTalks(changes: readonly TalkChange[], isFromHub = false): void {
    for (const { before, after } of changes) {
      if (before) this.talks.set(`${monthOf(before)} ${before.id}`, undefined);
      if (after) this.talks.set(`${monthOf(after)} ${after.id}`, after);
      const at = after ?? before;
      if (at && !isFromHub) this.talkQueue.put(monthOf(at), [at.id]);
    }
    this.events.onSaving();
    this.timer ??= setTimeout(() => void this.flush(), GATHER_MS);
  }

  /** Queues any other record to be written. */
  put(key: string, text: string): void {
    this.others.set(key, text);
    this.events.onSaving();
    this.timer ??= setTimeout(() => void this.flush(), GATHER_MS);
  }

  /** Writes everything queued at once. Resolves when it is in the store, or has failed and is still queued. */
  flush(): Promise<void> {
    if (this.timer !== undefined) clearTimeout(this.timer);
    this.timer = undefined;
    this.writing = this.writing.then(() => this.write());
    return this.writing;
  }

  /**
   * Puts talks into the shard of a month at once, those that are in it already left out; what is kept of them for each
   * card goes into the store with them, or not at all.
   *
   * @returns those that were new
   */
  async addTalks(
    month: string,
    talks: readonly Talk[],
    recordsOf: (added: readonly Talk[]) => Readonly<Record<string, string>>,
  ): Promise<readonly Talk[]> {
    await this.flush();
    return withTabLock(`${this.name}-write`, async () => {
      const key = `${KEYS.talks}${month}`;
      const list = parseList(await this.storage.getItem(key));
      const known = new Set(list.map(({ id }) => id));
      const added = talks.filter(({ id }) => !known.has(id) && known.add(id));
      if (added.length === 0) return added;
      const records = recordsOf(added);
      this.talkQueue.put(month, intakesOf(added));
      const queued = this.talkRecords([month]);
      await this.storage.setMany({ [key]: JSON.stringify([...list, ...added]), ...records, ...queued });
      this.tellOfTalks(month, records);
      return added;
    });
  }

  /** Takes the talks of an import away from a month. @returns those that are gone, and those that stay */
  async removeIntake(
    month: string,
    intake: string,
  ): Promise<{ readonly gone: readonly StoredTalk[]; readonly left: readonly StoredTalk[] }> {
    await this.flush();
    return withTabLock(`${this.name}-write`, async () => {
      const key = `${KEYS.talks}${month}`;
      const gone: StoredTalk[] = [];
      const left: StoredTalk[] = [];
      for (const talk of parseList(await this.storage.getItem(key)))
        (talk.intake === intake ? gone : left).push(talk);
      if (gone.length > 0) {
        this.talkQueue.put(month, [`intake:${intake}`]);
        await this.storage.setMany({ [key]: JSON.stringify(left), ...this.talkRecords([month]) });
        this.tellOfTalks(month, {});
      }
      return { gone, left };
    });
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

  private tellOfTalks(month: string, records: Readonly<Record<string, string>>): void {
    const summaries = Object.keys(records).map((key) => key.slice(KEYS.summary.length));
    this.events.onSaved({
      uids: [],
      changeIds: [],
      settings: false,
      months: [month],
      summaries,
      queued: [],
      hub: false,
    });
  }

  private async write(): Promise<void> {
    const written = new Set<string>();
    while (this.isBusy) {
      const cards = new Map(firstOf(this.cards, BATCH));
      const others = new Map(this.others);
      const talks = new Map(this.talks);
      try {
        await withTabLock(`${this.name}-write`, () => this.writeBatch(cards, others, talks));
      } catch (error) {
        this.events.onFailed(errorMessage(error));
        return;
      }
      // Only what has not changed again since is done.
      for (const [uid, card] of cards) {
        written.add(`${KEYS.card}${uid}`);
        // A card undefined here is one that was removed; it is done as well.
        if (this.cards.has(uid) && this.cards.get(uid) === card) this.cards.delete(uid);
      }
      for (const [key, text] of others) {
        written.add(key);
        if (this.others.get(key) === text) this.others.delete(key);
      }
      for (const [key, talk] of talks) {
        written.add(`${KEYS.talks}${key.slice(0, MONTH_LENGTH)}`);
        if (this.talks.has(key) && this.talks.get(key) === talk) this.talks.delete(key);
      }
    }
    if (written.size === 0) return;
    const under = (prefix: string) =>
      [...written].flatMap((key) => (key.startsWith(prefix) ? [key.slice(prefix.length)] : []));
    this.events.onSaved({
      uids: under(KEYS.card),
      changeIds: under(KEYS.change),
      settings: written.has(KEYS.settings),
      months: under(KEYS.talks),
      summaries: under(KEYS.summary),
      queued: under(KEYS.card).filter((uid) => this.queue.has(uid)),
      hub: written.has(KEYS.hub),
    });
  }

  private async writeBatch(
    cards: ReadonlyMap<Uid, Card | undefined>,
    others: ReadonlyMap<string, string>,
    talks: ReadonlyMap<string, Talk | undefined>,
  ): Promise<void> {
    const merged = await this.mergeWithStored(cards);
    const batch: Record<string, string> = {
      ...Object.fromEntries(others),
      ...(await this.shardsWith(talks)),
    };
    // '' first and the key's removal after: one transaction can't do both, and the first alone is already true.
    for (const [uid, card] of merged) {
      batch[`${KEYS.card}${uid}`] = card ? JSON.stringify(card) : '';
      if (this.queue.has(uid)) batch[`${KEYS.queue}${uid}`] = '1';
    }
    await this.storage.setMany(batch);
    const gone = [...merged].filter(([, card]) => !card).map(([uid]) => `${KEYS.card}${uid}`);
    if (gone.length > 0) await this.storage.removeMany(gone);
    for (const [uid, card] of merged) {
      if (card) this.seen.set(uid, card);
      else this.seen.delete(uid);
    }
  }

  /** The shards that some talks go into, with what is stored in them already. */
  private async shardsWith(talks: ReadonlyMap<string, Talk | undefined>): Promise<Record<string, string>> {
    const months = [...new Set([...talks.keys()].map((key) => key.slice(0, MONTH_LENGTH)))];
    const stored = await this.storage.getMany(months.map((month) => `${KEYS.talks}${month}`));
    const shards: Record<string, string> = {};
    for (const month of months) {
      const byId = new Map(parseList(stored[`${KEYS.talks}${month}`]).map((talk) => [talk.id, talk]));
      for (const [key, talk] of talks) {
        if (!key.startsWith(month)) continue;
        if (talk) byId.set(talk.id, talk);
        else byId.delete(key.slice(MONTH_LENGTH + 1));
      }
      shards[`${KEYS.talks}${month}`] = JSON.stringify([...byId.values()]);
    }
    Object.assign(shards, this.talkRecords(months));
    return shards;
  }

  /** What to write for each card: this page's, with what another page has written since the card was last seen. */
  private async mergeWithStored(
    cards: ReadonlyMap<Uid, Card | undefined>,
  ): Promise<Map<Uid, Card | undefined>> {
    // A card that this page has never seen in the store is new there.
    const seen = [...cards.keys()].filter((uid) => this.seen.has(uid));
    const stored = await readCards(
      this.storage,
      seen.map((uid) => `${KEYS.card}${uid}`),
    );
    const merged = new Map(cards);
    const news: Card[] = [];
    for (const theirs of stored.cards) {
      const mine = cards.get(theirs.uid);
      const base = this.seen.get(theirs.uid);
      if (!mine || !base) continue;
      if (diffJson(base, theirs).length === 0) continue;
      // The same value changed on both pages: the later write stands, the earlier stays in the history.
      const both = rebaseJson(base, mine, theirs);
      merged.set(both.uid, both);
      news.push(both);
    }
    if (news.length > 0) this.events.onMerged(news);
    return merged;
  }
}
