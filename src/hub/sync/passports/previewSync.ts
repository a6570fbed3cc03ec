import { shownAs } from '@/core/card';
import type { SyncPreview } from '@/core/sync';
import { type HubDb, toCard } from '@/hub/store';

import type { Device } from './passports';
import { pendingFor } from './pendingFor';

/** What the next sync would send a device, by names of cards; changes nothing. */
export async function previewSync(db: HubDb, device: Device): Promise<SyncPreview> {
  const { added, changed, removed } = await pendingFor(db, device);
  return {
    added: added.map(({ card }) => shownAs(card)),
    changed: changed.map(({ card }) => shownAs(card)),
    removed: removed.map(({ card }) => shownAs(toCard(card))),
  };
}
