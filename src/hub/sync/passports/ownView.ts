import { inBatches } from '@/core/base';
import { type HubDb, memories, toCard } from '@/hub/store';

import type { DeviceView, PlacedHead, SeenCard, SeenHead } from './deviceView';
import { etagOf, servedCard } from './letThrough';
import type { Device } from './passports';
import { syncTokenOf } from './syncToken';

/** Cards asked for in one query. */
const AT_ONCE = 500;

/** A device that only sends sees what it has sent, as it did: nothing of the book goes to it. */
export class OwnView implements DeviceView {
  constructor(
    private readonly db: HubDb,
    private readonly device: Device,
    readonly seq: number,
  ) {}

  get token(): string {
    return syncTokenOf(this.db, { seq: this.seq });
  }

  atEach(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenCard>> {
    return this.each('href', hrefs);
  }

  ofEach(uids: readonly string[]): Promise<ReadonlyMap<string, SeenCard>> {
    return this.each('uid', uids);
  }

  headsAt(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenHead>> {
    return this.atEach(hrefs);
  }

  headsOf(uids: readonly string[]): Promise<ReadonlyMap<string, SeenHead>> {
    return this.ofEach(uids);
  }

  async *heads(after = ''): AsyncGenerator<readonly PlacedHead[]> {
    for (let last = after; ;) {
      const rows = await this.rows()
        .select('cards.place')
        .where('cards.place', '>', last)
        .orderBy('cards.place')
        .limit(AT_ONCE)
        .execute();
      yield rows.map((row) => ({ ...this.seen(row), place: row.place }));
      if (rows.length < AT_ONCE) return;
      last = rows.at(-1)?.place ?? '';
    }
  }

  async lists(): Promise<readonly SeenHead[]> {
    return [];
  }

  private async each(by: 'href' | 'uid', keys: readonly string[]): Promise<ReadonlyMap<string, SeenCard>> {
    const found = new Map<string, SeenCard>();
    for (const some of inBatches(keys, AT_ONCE))
      for (const row of await this.rows()
        .where(`memory.${by}`, 'in', [...some])
        .execute())
        found.set(row[by], this.seen(row));
    return found;
  }

  private rows() {
    return memories(this.db, this.device.id).innerJoin('cards', 'cards.uid', 'memory.uid');
  }

  private seen({ uid, href, card: raw }: { uid: string; href: string; card: string }): SeenCard {
    const card = servedCard(toCard(raw), this.device);
    return { uid, href, etag: etagOf(card, this.device), seq: this.seq, card };
  }
}
