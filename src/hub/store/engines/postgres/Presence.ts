import { EventEmitter } from 'node:events';

import pg from 'pg';

import { texts } from '@/texts/hub/store';

import { StoreFault } from '../storeFault';
import { lockKey, type Place } from './address';
import { TYPES } from './connect';
import { inWords } from './inWords';

/** How long until the next try where the database is away, in milliseconds. */
const AGAIN_MS = 500;
/** What is locked for as long as a hub is at a store, by each of them. */
export const AT_WORK = 'at work';

/**
 * A hub's own connection, for as long as it is at a store: it hears of what others have written, and holds what only one of them
 * does. Where it breaks, it is made again, and whoever listens looks for what has been missed.
 */
export class Presence {
  private client: pg.Client | undefined;
  private isEnded = false;
  private readonly news = new EventEmitter();
  private again: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly place: Place) {
    // Every open page of every browser listens.
    this.news.setMaxListeners(0);
  }

  /** The channel on which a store's hubs hear from each other. */
  static channelOf({ schema }: Place): string {
    return `cordialis_${schema}`;
  }

  /** Connects. @throws StoreFault where the database is away */
  async begin(): Promise<void> {
    const client = new pg.Client({ ...this.place.config, types: TYPES });
    client.on('notification', ({ payload }) => this.news.emit('change', Number(payload ?? 0)));
    client.on('error', () => this.lose(client));
    client.on('end', () => this.lose(client));
    try {
      await client.connect();
      await client.query(`listen ${pg.escapeIdentifier(Presence.channelOf(this.place))}`);
      await client.query(`select pg_advisory_lock_shared(${lockKey(this.place, AT_WORK)})`);
    } catch (error) {
      await client.end().catch(() => undefined);
      throw inWords(error);
    }
    this.client = client;
  }

  hear(listen: (seq: number) => void): () => void {
    this.news.on('change', listen);
    return () => this.news.off('change', listen);
  }

  /** Takes a lock, which is held until it is given back or the connection breaks. @returns whether it is ours now */
  async take(what: string): Promise<boolean> {
    const { client } = this;
    if (!client) return false;
    const asked = `select pg_try_advisory_lock(${lockKey(this.place, what)}) as "isOurs"`;
    const { rows } = await client.query<{ isOurs: boolean }>(asked).catch(() => ({ rows: [] }));
    return rows[0]?.isOurs === true && client === this.client;
  }

  async giveBack(what: string): Promise<void> {
    // Where the connection has broken meanwhile, so has the lock.
    await this.client
      ?.query(`select pg_advisory_unlock(${lockKey(this.place, what)})`)
      .catch(() => undefined);
  }

  /** Does something when nobody else at the store is at it, however long that takes. @throws StoreFault where the database goes away */
  async inTurn(what: string, work: () => Promise<void>): Promise<void> {
    const key = lockKey(this.place, what);
    const { client } = this;
    if (!client) throw new StoreFault(503, texts.databaseIsAway, 'PG_AWAY');
    try {
      await client.query(`begin; set local lock_timeout = 0; select pg_advisory_lock(${key}); commit`);
    } catch (error) {
      throw inWords(error);
    }
    try {
      await work();
    } finally {
      await this.giveBack(what);
    }
  }

  async end(): Promise<void> {
    this.isEnded = true;
    clearTimeout(this.again);
    const { client } = this;
    this.client = undefined;
    await client?.end().catch(() => undefined);
  }

  private lose(client: pg.Client): void {
    if (this.isEnded || client !== this.client) return;
    this.client = undefined;
    void client.end().catch(() => undefined);
    this.comeBack();
  }

  private comeBack(): void {
    this.again = setTimeout(() => {
      this.begin()
        .then(async () => {
          if (this.isEnded) return this.end();
          // What was told meanwhile was told to nobody here: whoever listens looks, by whatever number.
          this.news.emit('change', 0);
        })
        .catch(() => (this.isEnded ? undefined : this.comeBack()));
    }, AGAIN_MS);
  }
}
