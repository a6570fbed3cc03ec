import { shownAs } from '@/core/card';
import { findCard, findMemory, putCard, toCard } from '@/hub/store';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/dav';

import { asSeen, cardAt } from '../passports/deviceView';
import { isSameFor } from '../passports/letThrough';
import { viewOf } from '../passports/viewOf';
import { type SyncContext, SyncRefusal } from './context';
import { inSync } from './inSync';

/** A deletion on a device. */
export interface Deletion {
  /** The last part of the card's address there. */
  readonly href: string;
  /** Whether it has said which version it means, and that is the one that is here. */
  readonly isOfThisVersion?: boolean;
}

/**
 * Deletes a card as a device does. One that has changed since the device was shown it isn't: a device is refused, and is told of the
 * change with its next sync; a server has done it already, so that the card stays here and is given to it again.
 *
 * @throws SyncRefusal
 */
export async function dropCard(
  context: SyncContext,
  { href, isOfThisVersion = false }: Deletion,
): Promise<{ readonly came: 0 | 1 }> {
  const { db, device, now, sync, isServer = false } = context;
  if (device.direction === 'out') throw new SyncRefusal('passport', texts.thisDeviceOnlyReceives);
  const seen = await cardAt(await viewOf(db, device), href);
  if (!seen) throw new SyncRefusal('nothing', texts.thereIsNoSuch);
  return inSync(context, async (store): Promise<{ readonly came: 0 | 1 }> => {
    const current = await findCard(store, seen.uid);
    if (!current) return { came: 0 };
    const row = await findMemory(store, device.id, seen.uid);
    const isAsKnown =
      isOfThisVersion || row === undefined || isSameFor(device, toCard(row.card), asSeen(current, seen));
    if (!isAsKnown && !isServer) throw new SyncRefusal('changed', texts.changedSinceDeviceSawIt);
    await store.deleteFrom('memory').where('device', '=', device.id).where('uid', '=', seen.uid).execute();
    const says = isAsKnown ? texts.deleted(shownAs(current)) : shared.keptWhichHadBeen(shownAs(current));
    await putCard(store, seen.uid, isAsKnown ? undefined : current, {
      ...{ at: now, device: device.id, sync, says },
    });
    return { came: 1 };
  });
}
