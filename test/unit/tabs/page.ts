// A page of a browser, as a machine has it: a storage that takes its time, locks between pages, and an end at any moment.
import { MemoryStorage } from '@/book/testing';

/** A storage whose answers take a while, now short and now long, so that other things come between. */
export class SlowStorage extends MemoryStorage {
  constructor(private random: number) {
    super();
  }

  private async wait(): Promise<void> {
    this.random = (this.random * 1_103_515_245 + 12_345) % 2_147_483_648;
    for (let i = this.random % 7; i > 0; i -= 1) await null;
  }

  override getItem = async (key: string) => {
    await this.wait();
    return this.entries.get(key) ?? null;
  };
  override getMany = async (keys: string[]) => {
    await this.wait();
    return Object.fromEntries(keys.map((key) => [key, this.entries.get(key) ?? null]));
  };
  override setMany = async (entries: Record<string, string>) => {
    await this.wait();
    if (this.fails) throw new Error('the disk is full');
    for (const [key, value] of Object.entries(entries)) this.entries.set(key, value);
    await this.wait();
  };
}

/** One after the other for each name, as the browser's own locks are (Web Locks API). */
export function lockTabs(): void {
  const last = new Map<string, Promise<unknown>>();
  const request = (name: string, work: () => Promise<unknown>) => {
    const turn = (last.get(name) ?? Promise.resolve()).then(work, work);
    last.set(
      name,
      turn.catch(() => undefined),
    );
    return turn;
  };
  Object.defineProperty(globalThis, 'navigator', { value: { locks: { request } }, configurable: true });
}

/** Which page is at which long piece of work. */
export type AtWork = Map<string, Life>;

/** The life of a page, which can be killed: from then on nothing of it reaches the storage. */
export class Life {
  isDead = false;

  constructor(private readonly atWork: AtWork) {}

  /** The storage as this page has it. */
  lend(storage: SlowStorage): SlowStorage {
    const mine = Object.create(storage) as SlowStorage;
    // The browser frees the locks of a page that is gone, so what it waits for must end.
    const refuse = () => Promise.reject(new Error('the page is gone'));
    mine.setMany = (entries) => (this.isDead ? refuse() : storage.setMany(entries));
    mine.removeMany = (keys) => (this.isDead ? refuse() : storage.removeMany(keys));
    return mine;
  }

  /** Runs unless a living page is at the same. */
  ifAlone = async <T>(name: string, work: () => Promise<T>): Promise<T | undefined> => {
    if (this.atWork.get(name)?.isDead === false) return undefined;
    this.atWork.set(name, this);
    try {
      return await work();
    } finally {
      if (this.atWork.get(name) === this) this.atWork.delete(name);
    }
  };
}
