import type { HubDb, StoreKind } from '../schema/tables';

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
  /** What is wrong with the database itself, in words. */
  problems(): Promise<string[]>;
  close(): Promise<void>;
}
