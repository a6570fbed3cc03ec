import { shownAs } from '@/core/card';
import { findCard, findMemory, inTransaction, putCard, toCard } from '@/hub/store';
import { asSeen, isSameFor, viewOf } from '@/hub/sync';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/dav';

import { DavError } from './davError';
import type { DavAnswer, DavRequest } from './davRequest';
import { dav } from './names';
import { checkConditions } from './putCardResource';

/** DELETE of a card (RFC 4918 §9.6). A card that has changed since the device saw it is kept and served again. */
export async function deleteCardResource(request: DavRequest, href: string): Promise<DavAnswer> {
  const { db, device, now } = request;
  if (device.direction === 'out')
    throw new DavError(403, texts.thisDeviceOnlyReceives, dav('need-privileges'));
  const seen = (await viewOf(db, device)).byHref.get(href);
  if (!seen) throw new DavError(404, texts.thereIsNoSuch);
  checkConditions(request, seen.etag);
  return inTransaction(db, async (store) => {
    const current = await findCard(store, seen.uid);
    if (!current) return { status: 204 };
    const row = await findMemory(store, device.id, seen.uid);
    await store.deleteFrom('memory').where('device', '=', device.id).where('uid', '=', seen.uid).execute();
    const isAsServed = row === undefined || isSameFor(device, toCard(row.card), asSeen(current, seen));
    const says = isAsServed ? texts.deleted(shownAs(current)) : shared.keptWhichHadBeen(shownAs(current));
    await putCard(store, seen.uid, isAsServed ? undefined : current, {
      ...{ at: now, device: device.id, sync: request.sync, says },
    });
    return { status: 204, came: 1 };
  });
}
