import { shownAs, withSource } from '@/core/card';
import { findCard, type HubDb, inTransaction, putCard } from '@/hub/store';

/**
 * Marks cards that once came from a device as stored there: narrowing its passport to stored cards must not remove
 * them from it. @param now - UTCDateTime
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
      const marked = card && withSource(card, device.name, true);
      if (!card || !marked || marked === card) continue;
      const says = `Marked ${shownAs(card)} as kept at ${device.name}`;
      await putCard(store, uid, { ...marked, updated: now }, { at: now, device: null, says });
    }
  });
}
