/** Numbers that look random and are the same for the same seed (mulberry32; public domain, T. Ettinger). */
export class Dice {
  constructor(private state: number) {}

  /** 0 to 1, 1 not included. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  /** A whole number from 0 to `below`, that not included. */
  below(below: number): number {
    return Math.floor(this.next() * below);
  }

  /** One of some things. @throws RangeError where there are none */
  pick<T>(things: readonly T[]): T {
    const thing = things[this.below(things.length)];
    if (thing === undefined) throw new RangeError('there is nothing to pick from');
    return thing;
  }

  /** True with a chance of `share01`. */
  chance(share01: number): boolean {
    return this.next() < share01;
  }
}
