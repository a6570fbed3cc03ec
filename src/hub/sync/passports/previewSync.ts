import { inBatches } from '@/core/base';
import { shownAs } from '@/core/card';
import type { SyncPreview } from '@/core/sync';
import { type HubDb, memories, toCard } from '@/hub/store';

import type { Device } from './passports';
import { pendingFor } from './pendingFor';
import { viewOf } from './viewOf';

/** Cards whose names are read at once. */
const AT_ONCE = 100;

/** What the next sync would send a device, by names of cards; changes nothing. */
export async function previewSync(db: HubDb, device: Device): Promise<SyncPreview> {
  const view = await viewOf(db, device);
  const { added, changed, removed } = await pendingFor(db, device, view);
  const namesOf = async (heads: readonly { readonly uid: string }[]) => {
    const names: string[] = [];
    for (const some of inBatches(heads, AT_ONCE))
      for (const { card } of (await view.ofEach(some.map(({ uid }) => uid))).values())
        names.push(shownAs(card));
    return names;
  };
  const gone: string[] = [];
  for (const some of inBatches(removed, AT_ONCE)) {
    const uids = some.map(({ uid }) => uid);
    for (const { card } of await memories(db, device.id).where('memory.uid', 'in', uids).execute())
      gone.push(shownAs(toCard(card)));
  }
  return { added: await namesOf(added), changed: await namesOf(changed), removed: gone };
}
