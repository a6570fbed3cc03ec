import type { Uid } from '@/core/card';

/** Cards with unpushed changes. Each has a number that grows with every change; refused ones wait for the next. */
export class HubQueue {
  private readonly stamps = new Map<Uid, number>();
  private readonly refused = new Map<Uid, readonly [stamp: number, reason: string]>();
  private stamp = 0;

  put(uids: readonly Uid[]): void {
    for (const uid of uids) this.stamps.set(uid, (this.stamp += 1));
  }

  has(uid: Uid): boolean {
    return this.stamps.has(uid);
  }

  /** A queued card with its number; nothing where it isn't queued. */
  stampOf(uid: Uid): ReadonlyMap<Uid, number> {
    const stamp = this.stamps.get(uid);
    return new Map(stamp === undefined ? [] : [[uid, stamp]]);
  }

  /** Cards to push; those refused as they are, left out. */
  toPush(): ReadonlyMap<Uid, number> {
    return new Map([...this.stamps].filter(([uid, stamp]) => this.refused.get(uid)?.[0] !== stamp));
  }

  /** Takes out what was pushed, unless it has changed again. @returns what is out */
  drop(pushed: ReadonlyMap<Uid, number>): Uid[] {
    const done = [...pushed].flatMap(([uid, stamp]) => (this.stamps.get(uid) === stamp ? uid : []));
    for (const uid of done) this.stamps.delete(uid);
    return done;
  }

  /** Marks cards as refused by the hub: they are pushed again when they have changed, or after a reload. */
  refuse(pushed: ReadonlyMap<Uid, number>, reasons: Readonly<Record<Uid, string>>): void {
    for (const [uid, stamp] of pushed) {
      const reason = reasons[uid];
      if (reason !== undefined) this.refused.set(uid, [stamp, reason]);
    }
  }

  /** Cards that the hub has refused as they are, and why. */
  refusals(): ReadonlyMap<Uid, string> {
    const still = [...this.refused].filter(([uid, [stamp]]) => this.stamps.get(uid) === stamp);
    return new Map(still.map(([uid, [, reason]]) => [uid, reason]));
  }

  clear(): void {
    this.stamps.clear();
  }
}
