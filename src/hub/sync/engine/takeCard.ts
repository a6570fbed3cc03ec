import { findMemory } from '@/hub/store';
import { texts } from '@/texts/sync/dav';

import { cardAt, cardOf } from '../passports/deviceView';
import { listsOf } from '../passports/passports';
import { viewOf } from '../passports/viewOf';
import { changeKnown } from './changeKnown';
import { type SyncContext, SyncRefusal } from './context';
import type { Incoming, Taken } from './incoming';
import { takeNew } from './takeNew';

/**
 * Takes a card of a device in: what it has changed is merged into the book, whatever else happened in the meantime.
 *
 * @throws SyncRefusal
 */
export async function takeCard(context: SyncContext, incoming: Incoming): Promise<Taken> {
  const { db, device } = context;
  const { sent, href } = incoming;
  if (device.direction === 'out') throw new SyncRefusal('passport', texts.thisDeviceOnlyReceives);
  const view = await viewOf(db, device);
  const seen = await cardAt(view, href);
  if (seen) return changeKnown(context, { ...incoming, seen });
  const known = await cardOf(view, sent.uid);
  const memory = await db
    .selectFrom('memory')
    .select('href')
    .where('device', '=', device.id)
    .where('deviceUid', '=', sent.uid)
    .executeTakeFirst();
  const taken =
    memory?.href ?? (known && (await findMemory(db, device.id, known.uid)) ? known.href : undefined);
  if (taken !== undefined && (await cardAt(view, taken)))
    throw new SyncRefusal('elsewhere', texts.thereIsCardWithThatUid, taken);
  // A card that would be gone from the device at once is not taken from it.
  if (device.scope === 'nothing' || (device.scope === 'lists' && listsOf(device).length === 0))
    throw new SyncRefusal('passport', texts.thisPassportLetsNothingThrough);
  return takeNew(context, incoming);
}
