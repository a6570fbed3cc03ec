import { randomUUID } from 'node:crypto';

import { encodeUtf8, isSameJson } from '@/core/base';
import { type Card, newCard, shownAs, withSource } from '@/core/card';
import { getFormat, type ReadableFormat } from '@/core/formats';
import { isRuleList } from '@/core/lists';
import { deviceChange, type Keeps, mergeThree, noteKeeps } from '@/core/sync';
import { duplicateFacts, type DuplicateIndex, mergeCards } from '@/core/tidy';
import { withCutPictures, withServedPictures } from '@/hub/card';
import {
  type ChangeSource,
  findCard,
  findMemory,
  type HubDb,
  inTransaction,
  noteToSettle,
  putCard,
  toCard,
} from '@/hub/store';
import { asSeen, type DeviceView, listsOf, type SeenCard, servedCard, viewOf } from '@/hub/sync';
import { texts } from '@/texts/sync/dav';

import { type DataVersion, writeData } from './addressData';
import { DavError } from './davError';
import type { DavAnswer, DavRequest } from './davRequest';
import { bookPath, card as carddav, dav, MAX_RESOURCE_OCTETS } from './names';
import { recordHeld } from './recordHeld';
import { noteGone } from './rememberServed';

/**
 * PUT of a card (RFC 6352 §6.3.2): the device's changes are merged into the book, whatever else happened in the
 * meantime.
 */
export async function putCardResource(request: DavRequest, href: string): Promise<DavAnswer> {
  const { db, device } = request;
  if (device.direction === 'out')
    throw new DavError(403, texts.thisDeviceOnlyReceives, dav('need-privileges'));
  const { sent, version } = readSent(request);
  const view = await viewOf(db, device);
  const seen = view.byHref.get(href);
  if (seen && request.header('if-match') !== undefined) await recordHeld(request, seen.uid);
  checkConditions(request, seen?.etag);
  if (seen) return changeKnown(request, { href, seen, sent, version });
  const known = view.byUid.get(sent.uid);
  const memory = await db
    .selectFrom('memory')
    .select('href')
    .where('device', '=', device.id)
    .where('deviceUid', '=', sent.uid)
    .executeTakeFirst();
  const taken =
    memory?.href ?? (known && (await findMemory(db, device.id, known.uid)) ? known.href : undefined);
  if (taken !== undefined && view.byHref.has(taken))
    throw new DavError(
      409,
      texts.thereIsCardWithThatUid,
      carddav('no-uid-conflict'),
      bookPath(device.user) + encodeURIComponent(taken),
    );
  // A card that would be gone from the device at once is not taken from it.
  if (device.scope === 'nothing' || (device.scope === 'lists' && listsOf(device).length === 0))
    throw new DavError(403, texts.thisPassportLetsNothingThrough, dav('need-privileges'));
  return takeNew(request, href, sent, view);
}

interface Sent {
  readonly sent: Card;
  readonly version: DataVersion;
}

function readSent({ header, body }: DavRequest): Sent {
  const type = header('content-type') ?? 'text/vcard';
  if (!/^text\/(?:x-)?(?:vcard|directory)\b/i.test(type))
    throw new DavError(415, texts.onlyTextVcardIsTaken, carddav('supported-address-data'));
  if (Buffer.byteLength(body) > MAX_RESOURCE_OCTETS)
    throw new DavError(403, texts.cardIsTooLarge, carddav('max-resource-size'));
  const version: DataVersion = /^VERSION:4\.0\s*$/im.test(body) ? '4.0' : '3.0';
  if (!/^BEGIN:VCARD\s*$/im.test(body) || !/^END:VCARD\s*$/im.test(body))
    throw new DavError(403, texts.thatIsNoCard, carddav('valid-address-data'));
  const { cards, problems } = formatOf(version).read(encodeUtf8(body));
  const [sent] = cards;
  if (!sent || cards.length > 1)
    throw new DavError(403, problems[0]?.message ?? texts.oneCardIsPut, carddav('valid-address-data'));
  return { sent, version };
}

function formatOf(version: DataVersion): ReadableFormat {
  // Both are readable.
  return getFormat(version === '4.0' ? 'vcard4' : 'vcard3') as ReadableFormat;
}

/** RFC 9110 §13.1: nothing the device hasn't seen is overwritten. */
export function checkConditions({ header }: Pick<DavRequest, 'header'>, etag: string | undefined): void {
  const [match, none] = [header('if-match'), header('if-none-match')];
  const tags = (text: string) => text.split(',').map((tag) => tag.trim());
  const isThere = (text: string) => etag !== undefined && (text.trim() === '*' || tags(text).includes(etag));
  if (match !== undefined && !isThere(match)) throw new DavError(412, texts.cardHasChanged);
  if (none !== undefined && isThere(none)) throw new DavError(412, texts.cardIsThereAlready);
}

interface Known extends Sent {
  readonly href: string;
  /** The card at that address, as the device may see it. */
  readonly seen: SeenCard;
}

async function changeKnown(request: DavRequest, known: Known): Promise<DavAnswer> {
  // Pictures are compared before the store is held, which nobody else can write meanwhile: again where it changes under it.
  for (;;) {
    const held = await heldBy(request.db, request, known);
    if (!held) throw new DavError(404, texts.cardHasJustBeen);
    const compared = await comparedWith(request, held.base, known);
    const answer = await inTransaction(request.db, async (store) => {
      const now = await heldBy(store, request, known);
      if (!now) throw new DavError(404, texts.cardHasJustBeen);
      return now.text === held.text
        ? applyChange(store, request, { ...known, ...now, ...compared })
        : undefined;
    });
    if (answer) return answer;
  }
}

interface Held {
  /** The card of the book. */
  readonly current: Card;
  /** What the device knew, which its changes are told by. */
  readonly base: Card;
  /** The same as it is stored. */
  readonly text: string;
}

/** What a device knows of a card, and the card; undefined where it is gone. */
async function heldBy(store: HubDb, { device }: DavRequest, { seen }: Known): Promise<Held | undefined> {
  const current = await findCard(store, seen.uid);
  if (!current) return undefined;
  const row = await findMemory(store, device.id, seen.uid);
  const base = row ? toCard(row.card) : asSeen(current, seen);
  return { current, base: ownPart(current, base), text: row?.card ?? JSON.stringify(base) };
}

/** A device can't change who is on a rule list. */
function ownPart(current: Card, card: Card): Card {
  return isRuleList(current) ? withoutMembers(card) : card;
}

interface Compared {
  /** What the device was served. */
  readonly served: Card;
  /** What it has sent, with the pictures that it was served where they show the same. */
  readonly same: Card;
}

async function comparedWith({ device }: DavRequest, base: Card, { sent, version }: Known): Promise<Compared> {
  const cut = await withCutPictures(servedCard(base, device), device.photoSide);
  const served = readBack(cut, version);
  return { served, same: await withServedPictures(served, sent) };
}

async function applyChange(
  store: HubDb,
  request: DavRequest,
  { href, seen: { uid }, sent, current, base, served, same }: Known & Held & Compared,
): Promise<DavAnswer> {
  const { device, country, now } = request;
  const keeps = JSON.parse(device.keeps) as Keeps;
  const theirs = deviceChange({ known: base, served, sent: ownPart(current, same), keeps, country });
  const { card, conflicts } = mergeThree(base, current, theirs, { country });
  const merged: Card = { ...card, uid };
  const isChanged = JSON.stringify(merged) !== JSON.stringify(current);
  const after: Card = isChanged ? { ...merged, updated: now } : current;
  if (isChanged)
    await putCard(store, uid, after, { ...sourceOf(request), says: texts.changed(shownAs(after)) });
  await noteToSettle(store, { uid, conflicts, by: device.name, at: now });
  await remember(store, request, {
    uid,
    href,
    card: theirs,
    deviceUid: sent.uid === uid ? null : sent.uid,
  });
  await noteKept(store, request, keeps, sent);
  // No entity tag: the stored card is not octet for octet what was sent (RFC 6352 §6.3.2.3).
  return { status: 204, came: isChanged ? 1 : 0 };
}

function withoutMembers({ members: _, ...list }: Card): Card {
  return list;
}

function sourceOf({ now, device, sync }: DavRequest): Omit<ChangeSource, 'says'> {
  return { at: now, device: device.id, sync };
}

/** A card from another server is marked as stored there. */
function marked(card: Card, { device, isServer = false }: DavRequest): Card {
  return isServer || device.own === 1 ? withSource(card, device.name, true) : card;
}

function readBack(card: Card, version: DataVersion): Card {
  const [read] = formatOf(version).read(
    encodeUtf8(writeData(card, { version, properties: undefined })),
  ).cards;
  return read ?? card;
}

/**
 * A new card. It joins a card of the book only where that has its uid, or where it adds nothing to it; anything else becomes a card of its own, however alike the two look. Tidy then offers them as duplicates,
 * and somebody who knows both people decides.
 */
async function takeNew(request: DavRequest, href: string, sent: Card, view: DeviceView): Promise<DavAnswer> {
  const { db, device, now } = request;
  const duplicate = duplicateOf(sent, view.duplicateIndex());
  return inTransaction(db, async (store) => {
    await noteKept(store, request, JSON.parse(device.keeps) as Keeps, sent);
    const same =
      // What the passport doesn't let through is as unknown as a card that was never there.
      (view.byUid.has(sent.uid) ? await findCard(store, sent.uid) : undefined) ??
      (duplicate === undefined ? undefined : await findEqual(store, request, duplicate, sent));
    if (!same) return addNew(store, request, href, sent);
    const after: Card = marked({ ...unitedWith(same, sent, request), uid: same.uid, updated: now }, request);
    const seq = await putCard(store, same.uid, after, {
      ...{ ...sourceOf(request), says: texts.joinedCardOfTo(device.name, shownAs(same)) },
    });
    const known = await findMemory(store, device.id, same.uid);
    // The device has that card already: the second one goes from it with the next sync, and answers until then.
    if (known && known.href !== href) await noteGone({ db: store, device }, href, seq, same.uid);
    else await remember(store, request, { uid: same.uid, href, card: after, deviceUid: sent.uid });
    return { status: 201, came: 1 };
  });
}

async function addNew(
  store: Parameters<typeof putCard>[0],
  request: DavRequest,
  href: string,
  sent: Card,
): Promise<DavAnswer> {
  const { device, now } = request;
  const isTaken = (await findCard(store, sent.uid)) !== undefined;
  const uid = isTaken ? `urn:uuid:${randomUUID()}` : sent.uid;
  const fresh: Card = { ...newCard(uid, now), ...sent, uid, created: sent.created ?? now, updated: now };
  const tagged =
    device.tag === null ? fresh : { ...fresh, keywords: { ...fresh.keywords, [device.tag]: true as const } };
  const own = marked(tagged, request);
  await putCard(store, own.uid, own, { ...sourceOf(request), says: texts.added(shownAs(own)) });
  await remember(store, request, { uid: own.uid, href, card: own, deviceUid: isTaken ? sent.uid : null });
  await joinList(store, request, own.uid);
  return { status: 201, came: 1 };
}

/** A card that looks the same, where a new one says nothing beyond it. */
async function findEqual(
  store: Parameters<typeof putCard>[0],
  request: DavRequest,
  uid: string,
  sent: Card,
): Promise<Card | undefined> {
  const same = await findCard(store, uid);
  if (!same) return undefined;
  const { updated: _, ...united } = unitedWith(same, sent, request);
  const { updated: __, ...before } = same;
  return isSameJson(united, before) ? same : undefined;
}

function unitedWith(same: Card, sent: Card, { country }: DavRequest): Card {
  return withoutTrace(mergeCards([same, sent], { country }), same);
}

/** Merging records the cards that were merged away; the device's was never a card of the book. */
function withoutTrace(united: Card, same: Card): Card {
  const { 'cordialis.example:was': _, ...rest } = united;
  const was = same['cordialis.example:was'];
  return was ? { ...rest, 'cordialis.example:was': was } : rest;
}

/** The card of the book that is certainly the same person or organisation. */
function duplicateOf(sent: Card, index: DuplicateIndex): string | undefined {
  const [duplicate, second] = index.duplicatesOf(duplicateFacts(sent));
  if (duplicate?.grade !== 'certain' || second?.grade === 'certain') return undefined;
  return duplicate.uids.find((uid) => uid !== sent.uid);
}

/**
 * A card from a device whose passport is for a list is added to that list, or it would vanish from the device at
 * once.
 */
async function joinList(store: HubDb, request: DavRequest, uid: string): Promise<void> {
  const [first] = listsOf(request.device);
  const list = first === undefined ? undefined : await findCard(store, first);
  if (!list || isRuleList(list)) return;
  const after: Card = { ...list, members: { ...list.members, [uid]: true as const }, updated: request.now };
  await putCard(store, list.uid, after, { ...sourceOf(request), says: texts.putOnto(shownAs(list)) });
}

interface Remembered {
  readonly uid: string;
  readonly href: string;
  readonly card: Card;
  readonly deviceUid: string | null;
}

async function remember(
  store: HubDb,
  { device }: DavRequest,
  { uid, href, card, deviceUid }: Remembered,
): Promise<void> {
  const text = JSON.stringify(card);
  await store.deleteFrom('gone').where('device', '=', device.id).where('href', '=', href).execute();
  // What it had there before and may not see any more is not what is there now.
  await store
    .deleteFrom('memory')
    .where('device', '=', device.id)
    .where('href', '=', href)
    .where('uid', '<>', uid)
    .execute();
  await store
    .insertInto('memory')
    .values({ device: device.id, uid, href, card: text, deviceUid })
    .onConflict((conflict) =>
      conflict.columns(['device', 'uid']).doUpdateSet({ href, card: text, deviceUid }),
    )
    .execute();
}

async function noteKept(store: HubDb, { device }: DavRequest, keeps: Keeps, sent: Card): Promise<void> {
  const noted = JSON.stringify(noteKeeps(keeps, sent));
  if (noted !== device.keeps)
    await store.updateTable('devices').set({ keeps: noted }).where('id', '=', device.id).execute();
}
