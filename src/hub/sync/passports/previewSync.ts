import { shownAs } from '@/core/card';
import type { SyncPreview } from '@/core/sync';
import { type HubDb, toCard } from '@/hub/store';

import type { Device } from './passports';
import { pendingFor } from './pendingFor';

/** What a device would be told if it came now, by the names of cards: nothing is changed by asking, here or there. */
export async function previewSync(db: HubDb, device: Device): Promise<SyncPreview> {
  const { added, changed, removed } = await pendingFor(db, device);
  return {
    added: added.map(({ card }) => shownAs(card)),
    changed: changed.map(({ card }) => shownAs(card)),
    removed: removed.map(({ card }) => shownAs(toCard(card))),
  };
}
