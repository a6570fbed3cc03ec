import type { Uid } from '@/core/card';

/** A talk that the hub doesn't take. */
export interface RefusedTalk {
  readonly id: string;
  /** 2026-11. */
  readonly month: string;
  /** ISO 8601. */
  readonly day: string;
  /** The first of its people. */
  readonly uid: Uid | undefined;
  readonly reason: string;
}

/** Talks to push, by month. Each has a number that grows with every change; refused ones wait for the next. */
export class TalkQueue {
  private readonly months = new Map<string, Map<string, number>>();
  private readonly refused = new Map<string, { readonly stamp: number; readonly talk: RefusedTalk }>();
  private stamp = 0;
  /** Whether this browser is paired with a hub. */
  isKept = false;

  /** How many months have talks to push. */
  get size(): number {
    return [...this.months.values()].filter((keys) => [...keys].some((one) => this.isOpen(...one))).length;
  }

  /** @param keys - ids of talks, or `intake:` with the name of an import */
  put(month: string, keys: readonly string[]): void {
    if (!this.isKept || keys.length === 0) return;
    const known = this.months.get(month) ?? new Map<string, number>();
    for (const key of keys) known.set(key, (this.stamp += 1));
    this.months.set(month, known);
  }

  /** What is to be pushed of each month; talks that were refused as they are, left out. */
  all(): ReadonlyMap<string, ReadonlyMap<string, number>> {
    const open = [...this.months].map(
      ([month, keys]) => [month, new Map([...keys].filter((one) => this.isOpen(...one)))] as const,
    );
    return new Map(open.filter(([, keys]) => keys.size > 0));
  }

  /** Whether it is to be pushed as it is. */
  private isOpen(key: string, stamp: number): boolean {
    return this.refused.get(key)?.stamp !== stamp;
  }

  /** Marks talks as refused by the hub: they are pushed again when they have changed, or after a reload. */
  refuse(talks: readonly RefusedTalk[], pushed: ReadonlyMap<string, ReadonlyMap<string, number>>): void {
    for (const talk of talks) {
      const { id, month } = talk;
      const now = this.months.get(month)?.get(id);
      // Changed in the meantime: it is pushed again, as it is now.
      if (now !== undefined && now !== pushed.get(month)?.get(id)) continue;
      if (now === undefined) this.put(month, [id]);
      const stamp = this.months.get(month)?.get(id);
      if (stamp !== undefined) this.refused.set(id, { stamp, talk });
    }
  }

  /** Talks that the hub has refused as they are. */
  refusals(): RefusedTalk[] {
    return [...this.refused.values()].flatMap(({ stamp, talk }) =>
      this.months.get(talk.month)?.get(talk.id) === stamp ? [talk] : [],
    );
  }

  /** A queued talk with its number; nothing where it isn't queued. */
  stampOf(month: string, id: string): ReadonlyMap<string, number> {
    const stamp = this.months.get(month)?.get(id);
    return new Map(stamp === undefined ? [] : [[id, stamp]]);
  }

  has(month: string, key: string): boolean {
    return this.months.get(month)?.has(key) === true;
  }

  /** Marks these as pushed, unless they have changed again. */
  drop(month: string, pushed: ReadonlyMap<string, number>): void {
    const known = this.months.get(month);
    if (!known) return;
    for (const [key, stamp] of pushed) if (known.get(key) === stamp) known.delete(key);
    if (known.size === 0) this.months.delete(month);
  }

  /** Its stored form; '' where there is nothing to push. */
  textOf(month: string): string {
    const known = this.months.get(month);
    return known ? JSON.stringify([...known.keys()]) : '';
  }

  clear(): void {
    this.months.clear();
  }
}
