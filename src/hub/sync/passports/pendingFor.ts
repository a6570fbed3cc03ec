import type { Selectable } from 'kysely';

import { isSameJson } from '@/core/base';
import { type HubDb, type MemoryTable, toCard } from '@/hub/store';

import { servedCard, viewOf } from './deviceView';
import type { SeenCard } from './keptView';
import type { Device } from './passports';

/** Changes a device hasn't received yet. */
export interface Pending {
  readonly added: readonly SeenCard[];
  readonly changed: readonly SeenCard[];
  /** Cards it has that its passport no longer includes. */
  readonly removed: readonly Selectable<MemoryTable>[];
}

/** Compares what a device may see now with what it was last served; changes nothing. */
export async function pendingFor(db: HubDb, device: Device): Promise<Pending> {
  const view = await viewOf(db, device);
  const rows = await db.selectFrom('memory').selectAll().where('device', '=', device.id).execute();
  const known = new Map(rows.map(({ uid, card }) => [uid, card]));
  const [added, changed]: [SeenCard[], SeenCard[]] = [[], []];
  for (const seen of view.byUid.values()) {
    const before = known.get(seen.uid);
    if (before === undefined) added.push(seen);
    else if (!isSameJson(servedCard(toCard(before), device), seen.card)) changed.push(seen);
  }
  return { added, changed, removed: rows.filter(({ uid }) => !view.byUid.has(uid)) };
}
