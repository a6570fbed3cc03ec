import { shownAs } from '@/core/card';

import { findCard, putCard } from '../store/cards';
import { type HubDb, inTransaction } from '../store/openStore';

/**
 * Marks the cards that once came from a device as being kept there, where they aren't marked yet: a passport that is
 * narrowed to them must not take them away from it. @param now - UTCDateTime
 */
export function markSources(
  db: HubDb,
  device: { readonly id: number; readonly name: string },
  now: string,
): Promise<void> {
  return inTransaction(db, async (store) => {
    const rows = await store
      .selectFrom('changes')
      .select('uid')
      .distinct()
      .where('device', '=', device.id)
      .where('before', 'is', null)
      .execute();
    for (const { uid } of rows) {
      const card = await findCard(store, uid);
      if (!card || card['cordialis.example:sources']?.[device.name] === true) continue;
      const sources = { ...card['cordialis.example:sources'], [device.name]: true as const };
      const says = `Marked ${shownAs(card)} as kept at ${device.name}`;
      const marked = { ...card, 'cordialis.example:sources': sources, updated: now };
      await putCard(store, uid, marked, { at: now, device: null, says });
    }
  });
}
