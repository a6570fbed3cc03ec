import { isSameJson } from '@/core/base';
import { rebaseJson, uniteJson } from '@/core/card';

/** What is not in the store yet: what it began with, and what it shall be; undefined where there is nothing. */
export interface Pending<T> {
  readonly base: T | undefined;
  readonly mine: T | undefined;
  /** What it had become here before it was deleted here, where that isn't in the store either. */
  readonly deleted?: T | undefined;
}

/**
 * What is to be stored where the store may have something newer than the change began with: what was changed here is
 * changed there, everything else stays as it is there. Where both sides changed the same value, the later write (ours)
 * stands. Something that was deleted on one side and changed on the other stays.
 *
 * @param theirs - as it is in the store
 */
export function mergePending<T extends object>(
  { base, mine, deleted }: Pending<T>,
  theirs: T | undefined,
): T | undefined {
  // Without a base a deletion is of something that this page has not read: it goes, whatever it is.
  if ((!base && !mine) || isSameJson(base, theirs)) return mine;
  // A deletion doesn't take what was changed elsewhere meanwhile; what was changed here before it stays with that.
  const ours = mine ?? deleted;
  if (!theirs || !ours) return mine ?? theirs;
  return base ? rebaseJson(base, ours, theirs) : uniteJson(theirs, ours);
}

/** Unwritten values by their ids. What the store turns out to have is put under them, never over them. */
export class PendingMap<T extends object> {
  private readonly entries = new Map<string, Pending<T>>();

  get size(): number {
    return this.entries.size;
  }

  has(id: string): boolean {
    return this.entries.has(id);
  }

  get(id: string): Pending<T> | undefined {
    return this.entries.get(id);
  }

  /** Changes a value; what it began with is what the first unwritten change began with. */
  put(id: string, base: T | undefined, mine: T | undefined): void {
    const known = this.entries.get(id);
    const deleted = mine ? undefined : (known?.mine ?? known?.deleted);
    this.entries.set(id, { base: known ? known.base : base, mine, ...(deleted ? { deleted } : {}) });
  }

  /** The first entries, to be written. */
  first(count: number): Map<string, Pending<T>> {
    const some = new Map<string, Pending<T>>();
    for (const [id, entry] of this.entries) {
      if (some.size >= count) break;
      some.set(id, entry);
    }
    return some;
  }

  /**
   * Notes what the store has.
   *
   * @returns what is to be shown: what the store has, with what is still to be written on top
   */
  arrived(id: string, theirs: T | undefined): T | undefined {
    const entry = this.entries.get(id);
    if (!entry) return theirs;
    const mine = mergePending(entry, theirs);
    this.entries.set(id, { base: theirs, mine });
    return mine;
  }

  /**
   * Notes that an entry of `first` has been written.
   *
   * @param written - what is in the store now
   * @returns what is to be shown where that isn't what this page has already; `isNew` false where it is
   */
  wrote(id: string, entry: Pending<T>, written: T | undefined): { isNew: boolean; shown: T | undefined } {
    const now = this.entries.get(id);
    if (!now || now === entry) {
      this.entries.delete(id);
      return { isNew: !isSameJson(entry.mine, written), shown: written };
    }
    // Changed again while it was being written: the later change goes on top of what has been written.
    const mine = mergePending({ base: entry.mine, mine: now.mine }, written);
    this.entries.set(id, { base: written, mine });
    return { isNew: !isSameJson(now.mine, mine), shown: mine };
  }
}
