import { cardAt, type Incoming, readFromDevice, recordHeld, takeCard, versionOf, viewOf } from '@/hub/sync';
import { texts } from '@/texts/sync/dav';

import { checkConditions, tagsIn } from './conditions';
import { DavError, orDavError } from './davError';
import type { DavAnswer, DavRequest } from './davRequest';
import { card as carddav, MAX_RESOURCE_OCTETS } from './names';

/** PUT of a card (RFC 6352 §6.3.2). */
export async function putCardResource(request: DavRequest, href: string): Promise<DavAnswer> {
  const { db, device } = request;
  const read = readSent(request);
  const seen = await cardAt(await viewOf(db, device), href);
  const match = request.header('if-match');
  if (seen && match !== undefined) await recordHeld(request, seen.uid, tagsIn(match));
  checkConditions(request, seen?.etag);
  const { isNew } = await orDavError(request, takeCard(request, { href, ...read }));
  // No entity tag: the stored card is not octet for octet what was sent (RFC 6352 §6.3.2.3).
  return { status: isNew ? 201 : 204 };
}

function readSent({ header, body }: DavRequest): Pick<Incoming, 'sent' | 'version'> {
  const type = header('content-type') ?? 'text/vcard';
  if (!/^text\/(?:x-)?(?:vcard|directory)\b/i.test(type))
    throw new DavError(415, texts.onlyTextVcardIsTaken, carddav('supported-address-data'));
  if (Buffer.byteLength(body) > MAX_RESOURCE_OCTETS)
    throw new DavError(403, texts.cardIsTooLarge, carddav('max-resource-size'));
  const version = versionOf(body);
  if (!/^BEGIN:VCARD\s*$/im.test(body) || !/^END:VCARD\s*$/im.test(body))
    throw new DavError(403, texts.thatIsNoCard, carddav('valid-address-data'));
  const { cards, problems } = readFromDevice(body, version);
  const [sent] = cards;
  if (!sent || cards.length > 1)
    throw new DavError(403, problems[0]?.message ?? texts.oneCardIsPut, carddav('valid-address-data'));
  return { sent, version };
}
