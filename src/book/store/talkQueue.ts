/** Talks by month that the hub has still to be told of. Each has a number that grows with every change of it. */
export class TalkQueue {
  private readonly months = new Map<string, Map<string, number>>();
  private stamp = 0;
  /** Whether there is a hub that wants to know. */
  isKept = false;

  /** How many months have something that is to be told. */
  get size(): number {
    return this.months.size;
  }

  /** @param keys - ids of talks, or `intake:` with the name of an import */
  put(month: string, keys: readonly string[]): void {
    if (!this.isKept || keys.length === 0) return;
    const known = this.months.get(month) ?? new Map<string, number>();
    for (const key of keys) known.set(key, (this.stamp += 1));
    this.months.set(month, known);
  }

  /** What is to be told of each month, as it is now. */
  all(): ReadonlyMap<string, ReadonlyMap<string, number>> {
    return new Map([...this.months].map(([month, keys]) => [month, new Map(keys)]));
  }

  has(month: string, key: string): boolean {
    return this.months.get(month)?.has(key) === true;
  }

  /** The hub knows these now, unless they have changed again. */
  drop(month: string, told: ReadonlyMap<string, number>): void {
    const known = this.months.get(month);
    if (!known) return;
    for (const [key, stamp] of told) if (known.get(key) === stamp) known.delete(key);
    if (known.size === 0) this.months.delete(month);
  }

  /** As it is stored; '' where there is nothing to be told of the month. */
  textOf(month: string): string {
    const known = this.months.get(month);
    return known ? JSON.stringify([...known.keys()]) : '';
  }

  clear(): void {
    this.months.clear();
  }
}
