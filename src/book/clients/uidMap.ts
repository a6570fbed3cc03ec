import type { Uid } from '@/core/card';

/** Buckets a map has: with 100,000 entries a hundred each, so that putting one in copies little. */
const BUCKETS = 1024;

/**
 * Values by uid that never change: putting some in gives another map, which shares all but the few buckets they are
 * in. A plain object of 100,000 entries takes a quarter of a second to copy, and would be copied at every change.
 */
export class UidMap<T> {
  private constructor(
    private readonly buckets: readonly ReadonlyMap<Uid, T>[],
    readonly size: number,
  ) {}

  /** A map with nothing in it. */
  static empty<T>(): UidMap<T> {
    const none: ReadonlyMap<Uid, T> = new Map();
    return new UidMap(
      Array.from({ length: BUCKETS }, () => none),
      0,
    );
  }

  get(uid: Uid): T | undefined {
    return this.buckets[bucketOf(uid)]?.get(uid);
  }

  has(uid: Uid): boolean {
    return this.buckets[bucketOf(uid)]?.has(uid) === true;
  }

  /** All values, in no order that means anything. */
  values(): T[] {
    return this.buckets.flatMap((bucket) => [...bucket.values()]);
  }

  /** All uids, in the order of the values. */
  uids(): Uid[] {
    return this.buckets.flatMap((bucket) => [...bucket.keys()]);
  }

  /** The map with some entries put in or replaced, and some taken out. */
  with(entries: Iterable<readonly [Uid, T]>, removed: Iterable<Uid> = []): UidMap<T> {
    const buckets = [...this.buckets];
    const own = new Set<number>();
    let { size } = this;
    const bucketFor = (uid: Uid): Map<Uid, T> => {
      const at = bucketOf(uid);
      // Copied once, then this map's own until it is done.
      if (!own.has(at)) buckets[at] = new Map(buckets[at]);
      own.add(at);
      return buckets[at] as Map<Uid, T>;
    };
    for (const uid of removed) if (bucketFor(uid).delete(uid)) size -= 1;
    for (const [uid, value] of entries) {
      const bucket = bucketFor(uid);
      if (!bucket.has(uid)) size += 1;
      bucket.set(uid, value);
    }
    return own.size === 0 ? this : new UidMap(buckets, size);
  }
}

/** FNV-1a over the last letters, which are the ones that differ. */
function bucketOf(uid: Uid): number {
  let hash = 0x811c9dc5;
  for (let i = Math.max(0, uid.length - 12); i < uid.length; i += 1)
    hash = Math.imul(hash ^ uid.charCodeAt(i), 0x01000193);
  return (hash >>> 8) % BUCKETS;
}
