import type { Selectable } from 'kysely';

import { isSameJson } from '@/core/base';
import { type HubDb, type MemoryTable, toCard } from '@/hub/store';

import { type SeenCard, servedCard, viewOf } from './deviceView';
import type { Device } from './passports';

/** What a device doesn't know yet. */
export interface Pending {
  readonly added: readonly SeenCard[];
  readonly changed: readonly SeenCard[];
  /** Cards that it has and that its passport no longer lets through. */
  readonly removed: readonly Selectable<MemoryTable>[];
}

/** What a device may see now, held against what it was last served; nothing is changed by asking. */
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
