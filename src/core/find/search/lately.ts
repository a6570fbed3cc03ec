/** What was worked out lately, by a key, for as long as what it was worked out from stays as it is. */
export class Lately<V> {
  private readonly known = new Map<string, V>();
  private of: unknown;

  /** @param most - of the values kept; the one asked for longest ago goes first */
  constructor(private readonly most: number) {}

  /** @param of - stands for what it is worked out from: with another one everything is forgotten */
  get(key: string, of: unknown, workOut: (spare: V | undefined) => V): V {
    if (this.of !== of) this.known.clear();
    this.of = of;
    const value = this.known.get(key) ?? workOut(this.takeSpare());
    // Again at the end, as the latest.
    this.known.delete(key);
    this.known.set(key, value);
    return value;
  }

  /** The one asked for longest ago, where there is no more room: large arrays are better written over than made anew. */
  private takeSpare(): V | undefined {
    if (this.known.size < this.most) return undefined;
    const [oldest] = this.known;
    if (oldest) this.known.delete(oldest[0]);
    return oldest?.[1];
  }
}
