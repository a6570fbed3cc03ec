import type { HubDb } from '@/hub/store';

/** Pages kept at most: those of a large book, some times. */
const MOST = 64;

interface Page<Row> {
  /** The last change before it was read. */
  readonly seq: number;
  readonly rows: readonly Row[];
}

/**
 * Pages of a listing that were read a moment ago. Devices that come at the same time, as they do in the morning, see the same of the same
 * cards: it is read once for all of them.
 */
export class Pages<Row> {
  private readonly kept = new WeakMap<HubDb, Map<string, Page<Row>>>();

  /**
   * A page as it is now.
   *
   * @param key - what is seen, and after which place
   * @param seq - the change that must be in it
   * @param isWhole - whether others may have a page as it has been read
   */
  async of(
    db: HubDb,
    {
      key,
      seq,
      isWhole,
    }: { readonly key: string; readonly seq: number; readonly isWhole: (row: Row) => boolean },
    read: () => Promise<readonly Row[]>,
  ): Promise<readonly Row[]> {
    const kept = this.kept.get(db) ?? new Map<string, Page<Row>>();
    this.kept.set(db, kept);
    const known = kept.get(key);
    if (known && known.seq >= seq) return known.rows;
    const rows = await read();
    kept.delete(key);
    if (!rows.every(isWhole)) return rows;
    kept.set(key, { seq, rows });
    const [oldest] = kept.keys();
    if (kept.size > MOST && oldest !== undefined) kept.delete(oldest);
    return rows;
  }
}
