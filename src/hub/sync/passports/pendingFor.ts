import { inBatches, isSameJson } from '@/core/base';
import { type HubDb, memories, toCard } from '@/hub/store';

import type { DeviceView, SeenHead } from './deviceView';
import { servedCard } from './letThrough';
import type { Device } from './passports';

/** Changes a device hasn't received yet. */
export interface Pending {
  readonly added: readonly SeenHead[];
  readonly changed: readonly SeenHead[];
  /** Cards it has that its passport no longer includes. */
  readonly removed: readonly { readonly uid: string; readonly href: string }[];
}

/** Cards compared at once. */
const AT_ONCE = 100;

/** Compares what a device may see now with what it was last served; changes nothing. */
export async function pendingFor(db: HubDb, device: Device, view: DeviceView): Promise<Pending> {
  const rows = await db
    .selectFrom('memory')
    .select(['uid', 'href', 'seq'])
    .where('device', '=', device.id)
    .execute();
  const known = new Map(rows.map(({ uid, seq }) => [uid, seq]));
  const [added, other]: [SeenHead[], SeenHead[]] = [[], []];
  const here = new Set<string>();
  for await (const some of view.heads())
    for (const head of some) {
      here.add(head.uid);
      const before = known.get(head.uid);
      if (before === undefined) added.push(head);
      else if (before !== head.seq) other.push(head);
    }
  const changed: SeenHead[] = [];
  for (const some of inBatches(other, AT_ONCE)) {
    const uids = some.map(({ uid }) => uid);
    const now = await view.ofEach(uids);
    const then = await memories(db, device.id).where('memory.uid', 'in', uids).execute();
    const cards = new Map(then.map(({ uid, card }) => [uid, toCard(card)]));
    for (const head of some) {
      const [before, seen] = [cards.get(head.uid), now.get(head.uid)];
      if (before && seen && !isSameJson(servedCard(before, device), seen.card)) changed.push(head);
    }
  }
  return { added, changed, removed: rows.filter(({ uid }) => !here.has(uid)) };
}
