import { sql } from 'kysely';

import type { Engine } from './engines/engine';
import type { HubDb } from './schema/tables';

/** Something to be written in one piece. */
type Work = (store: HubDb) => Promise<unknown>;

interface Waiting {
  readonly work: Work;
  readonly settle: (outcome: Outcome) => void;
}

/** What came of some work: a value, or why it wasn't done. */
type Outcome = { readonly value: unknown } | { readonly fault: unknown };

/** The most that is written in one transaction: whoever comes after it doesn't wait long. */
const MOST = 32;

/**
 * What one hub writes: one piece of work after the other, each as a whole or not at all. Those that have come while others were written
 * share a transaction, since bringing it to the disk is what takes time; each is answered when that is done.
 */
export class Writes {
  private readonly queue: Waiting[] = [];
  private underWay = 0;
  private isDraining = false;

  constructor(private readonly engine: Engine) {}

  /** How many pieces of work wait for their turn, or are being done. */
  get count(): number {
    return this.queue.length + this.underWay;
  }

  /** @throws StoreFault where the disk, the database or somebody else at the store is in the way, and whatever the work throws */
  do<T>(work: (store: HubDb) => Promise<T>): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      this.queue.push({
        work,
        settle: (outcome) =>
          'fault' in outcome ? reject(outcome.fault as Error) : resolve(outcome.value as T),
      });
      if (this.isDraining) return;
      this.isDraining = true;
      // Whoever has come at the same time gets here before it begins.
      setImmediate(() => void this.drain());
    });
  }

  private async drain(): Promise<void> {
    while (this.queue.length > 0) {
      const some = this.queue.splice(0, MOST);
      this.underWay = some.length;
      const outcomes = await this.write(some.map(({ work }) => work));
      this.underWay = 0;
      some.forEach(({ settle }, i) => settle(outcomes[i] ?? { fault: new Error('nothing was written') }));
      if (this.queue.length > 0) await new Promise((resolve) => setImmediate(resolve));
    }
    this.isDraining = false;
  }

  /** What came of each of some works. */
  private async write(works: readonly Work[]): Promise<readonly Outcome[]> {
    try {
      return await this.engine.transact(async (store) => {
        seqs.delete(store);
        const [only] = works;
        const outcomes =
          works.length === 1 && only ? [{ value: await only(store) }] : await inTurn(store, works);
        const seq = seqs.get(store);
        if (seq !== undefined) await this.engine.tell(store, seq);
        return outcomes;
      });
    } catch (fault) {
      return works.map(() => ({ fault }));
    }
  }
}

/** Does some works of one transaction: what one of them has written goes where it fails, and the others' stays. */
async function inTurn(store: HubDb, works: readonly Work[]): Promise<Outcome[]> {
  const outcomes: Outcome[] = [];
  for (const work of works) {
    const told = seqs.get(store);
    await sql`savepoint work`.execute(store);
    try {
      outcomes.push({ value: await work(store) });
    } catch (fault) {
      // Where the disk is full the whole transaction may be over: then it is why nothing of it was written.
      await sql`rollback to savepoint work`.execute(store).catch(() => {
        throw fault;
      });
      if (told === undefined) seqs.delete(store);
      else seqs.set(store, told);
      outcomes.push({ fault });
    }
    await sql`release savepoint work`.execute(store);
  }
  return outcomes;
}

/** The numbers of changes that a transaction has made, the last one. */
const seqs = new WeakMap<HubDb, number>();

/** Has everybody who listens hear of a change once the transaction is written that makes it. */
export function notifyOfChange(store: HubDb, seq: number): void {
  seqs.set(store, Math.max(seq, seqs.get(store) ?? 0));
}
