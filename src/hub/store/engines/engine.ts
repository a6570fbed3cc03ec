import type { HubDb, StoreKind } from '../schema/tables';

/** What is done with a store that is being opened, before anybody else opens it. */
export type Settle = (engine: Engine) => Promise<void>;

/** A database in which a store lies: what isn't the same for all of them. */
export interface Engine {
  readonly kind: StoreKind;
  /** Reads; what it sees is what has been written, never half of a transaction. */
  readonly db: HubDb;
  /**
   * Runs work in one transaction, in which nobody else writes the book, in whatever process. The caller lets one begin when the one
   * before it has ended.
   *
   * @throws StoreFault where the store can't be written for a reason outside it
   */
  transact<T>(work: (store: HubDb) => Promise<T>): Promise<T>;
  /** In a transaction: has all hubs on the store hear of a change once it is written, and none where it isn't. */
  tell(store: HubDb, seq: number): Promise<void>;
  /** Hears of changes until the returned function is called. */
  hear(listen: (seq: number) => void): () => void;
  /** Does something that only one hub on the store does at a time. @returns undefined where it is being done */
  alone<T>(job: string, work: () => Promise<T>): Promise<T | undefined>;
  /** Reads what the store has at one moment, however long it takes. */
  atOnce<T>(read: (store: HubDb) => Promise<T>): Promise<T>;
  /** In a transaction: takes all rows out of tables, also out of those of which none is taken otherwise. */
  empty(store: HubDb, tables: readonly string[]): Promise<void>;
  /** The last number that a table has given to a row, of one that is gone too; 0 before the first. */
  counterOf(store: HubDb, table: string, column: string): Promise<number>;
  /** In a transaction: has a table count on from a number. */
  setCounter(store: HubDb, table: string, column: string, last: number): Promise<void>;
  /** How large the store is, in octets. */
  octets(): Promise<number>;
  /** Keeps all other hubs from the store until it is closed. @returns false where one is at it */
  hold(): Promise<boolean>;
  /** What is wrong with the database itself, in words. */
  problems(): Promise<string[]>;
  close(): Promise<void>;
}
