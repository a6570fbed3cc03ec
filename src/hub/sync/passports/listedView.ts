import { inBatches } from '@/core/base';

import type { DeviceView, PlacedHead, SeenCard, SeenHead } from './deviceView';

/** Heads told at once. */
const AT_ONCE = 500;

/** Cards that are all at hand. */
export class ListedView implements DeviceView {
  private readonly byUid: ReadonlyMap<string, SeenCard>;
  private readonly byHref: ReadonlyMap<string, SeenCard>;

  constructor(
    readonly seq: number,
    readonly token: string,
    seen: readonly SeenCard[],
  ) {
    this.byUid = new Map(seen.map((one) => [one.uid, one]));
    this.byHref = new Map(seen.map((one) => [one.href, one]));
  }

  async atEach(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenCard>> {
    return some(this.byHref, hrefs);
  }

  async ofEach(uids: readonly string[]): Promise<ReadonlyMap<string, SeenCard>> {
    return some(this.byUid, uids);
  }

  headsAt(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenHead>> {
    return this.atEach(hrefs);
  }

  headsOf(uids: readonly string[]): Promise<ReadonlyMap<string, SeenHead>> {
    return this.ofEach(uids);
  }

  async *heads(): AsyncGenerator<readonly PlacedHead[]> {
    // It is told in one part, in which no place is asked for.
    for (const some of inBatches([...this.byUid.values()], AT_ONCE))
      yield some.map((one) => ({ ...one, place: '' }));
  }

  async lists(): Promise<readonly SeenHead[]> {
    return [];
  }
}

function some(all: ReadonlyMap<string, SeenCard>, keys: readonly string[]): Map<string, SeenCard> {
  return new Map(
    keys.flatMap((key) => {
      const seen = all.get(key);
      return seen ? [[key, seen] as const] : [];
    }),
  );
}
