import {
  cardAt,
  type Incoming,
  readFromDevice,
  recordHeld,
  sentAs,
  takeCard,
  versionOf,
  viewOf,
} from '@/hub/sync';
import { texts } from '@/texts/sync/dav';

import { checkConditions, tagsIn } from './conditions';
import { DavError, orDavError } from './davError';
import type { DavAnswer, DavRequest } from './davRequest';
import { card as carddav, cardPath, MAX_RESOURCE_OCTETS } from './names';

/** PUT of a card (RFC 6352 §6.3.2). */
export async function putCardResource(request: DavRequest, href: string): Promise<DavAnswer> {
  const { db, device } = request;
  const read = readSent(request);
  const seen = await cardAt(await viewOf(db, device), href);
  const match = request.header('if-match');
  if (seen && match !== undefined) await recordHeld(request, seen.uid, tagsIn(match));
  checkConditions(request, seen?.etag);
  // RFC 6352 §6.3.2.1: one card is not put in the place of another.
  if (seen && hasUid(request.body) && !(await isKnownAs(request, seen.uid, read.sent.uid)))
    throw new DavError(409, texts.anotherCardIsHere, carddav('no-uid-conflict'), cardPath(device.user, href));
  const { isNew } = await orDavError(
    request,
    cardPath(device.user, href),
    takeCard(request, { href, ...read }),
  );
  // No entity tag: the stored card is not octet for octet what was sent (RFC 6352 §6.3.2.3).
  return { status: isNew ? 201 : 204 };
}

/** Versions that are taken: 2.1 is not announced, and some write it all the same. */
const VERSIONS = new Set(['2.1', '3.0', '4.0']);

function hasUid(body: string): boolean {
  return /^UID[;:]/im.test(body);
}

/** Whether a device knows a card under a uid: its own, or the one under which the device has sent it. */
async function isKnownAs({ db, device }: DavRequest, uid: string, sent: string): Promise<boolean> {
  return uid === sent || (await sentAs(db, device, uid)) === sent;
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
  const said = /^VERSION:(.*)$/im.exec(body)?.[1]?.trim();
  if (said !== undefined && !VERSIONS.has(said))
    throw new DavError(415, texts.onlyTextVcardIsTaken, carddav('supported-address-data'));
  const { cards, problems } = readFromDevice(body, version);
  const [sent] = cards;
  // A line that is none would be lost.
  const broken = problems.find(({ code }) => code === 'not-a-property' || code === 'missing-end');
  if (broken)
    throw new DavError(403, texts.lineOf(broken.line, broken.message), carddav('valid-address-data'));
  if (!sent || cards.length > 1)
    throw new DavError(403, problems[0]?.message ?? texts.oneCardIsPut, carddav('valid-address-data'));
  return { sent, version };
}
