import { shownAs } from '@/core/card';
import type { AheadNow } from '@/core/exchange';
import { isSameJson } from '@/core/json';

import { toCard } from '../store/cards';
import type { HubDb } from '../store/openStore';
import { servedCard, viewOf } from './deviceView';
import type { Device } from './passports';

/** What a device would be told if it came now: nothing is changed by asking, here or there. */
export async function lookAhead(db: HubDb, device: Device): Promise<AheadNow> {
  const view = await viewOf(db, device);
  const rows = await db
    .selectFrom('memory')
    .select(['uid', 'card'])
    .where('device', '=', device.id)
    .execute();
  const known = new Map(rows.map(({ uid, card }) => [uid, toCard(card)]));
  const ahead = { added: [] as string[], changed: [] as string[], removed: [] as string[] };
  for (const { uid, card } of view.byUid.values()) {
    const before = known.get(uid);
    if (!before) ahead.added.push(shownAs(card));
    else if (!isSameJson(servedCard(before, device), card)) ahead.changed.push(shownAs(card));
  }
  for (const [uid, card] of known) if (!view.byUid.has(uid)) ahead.removed.push(shownAs(card));
  return ahead;
}
