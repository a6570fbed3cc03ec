import { cardAt, dropCard, viewOf } from '@/hub/sync';

import { checkConditions, tagsIn } from './conditions';
import { orDavError } from './davError';
import type { DavAnswer, DavRequest } from './davRequest';
import { cardPath } from './names';

/** DELETE of a card (RFC 4918 §9.6). */
export async function deleteCardResource(request: DavRequest, href: string): Promise<DavAnswer> {
  const seen = await cardAt(await viewOf(request.db, request.device), href);
  if (seen) checkConditions(request, seen.etag);
  const isOfThisVersion = seen !== undefined && tagsIn(request.header('if-match') ?? '').includes(seen.etag);
  await orDavError(
    request,
    cardPath(request.device.user, href),
    dropCard(request, { href, isOfThisVersion }),
  );
  return { status: 204 };
}
