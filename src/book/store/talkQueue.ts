/** Talks to push, by month. Each has a number that grows with every change. */
export class TalkQueue {
  private readonly months = new Map<string, Map<string, number>>();
  private stamp = 0;
  /** Whether this browser is paired with a hub. */
  isKept = false;

  /** How many months have talks to push. */
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

  /** What is to be pushed of each month. */
  all(): ReadonlyMap<string, ReadonlyMap<string, number>> {
    return new Map([...this.months].map(([month, keys]) => [month, new Map(keys)]));
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
