import { randomUUID } from 'node:crypto';

import { isSameJson } from '@/core/base';
import { type Card, newCard, shownAs, withSource } from '@/core/card';
import { isRuleList } from '@/core/lists';
import { deviceChange, type Keeps, mergeThree, noteKeeps } from '@/core/sync';
import { duplicateFacts, DuplicateIndex, mergeCards } from '@/core/tidy';
import { withCutPictures, withServedPictures } from '@/hub/card';
import {
  alikeOf,
  type ChangeSource,
  findCard,
  findMemory,
  type HubDb,
  noteToSettle,
  putCard,
  putPicturesAside,
  toCard,
  withPictures,
} from '@/hub/store';
import { texts } from '@/texts/sync/dav';

import { asSeen, cardAt, cardOf, type DeviceView, type SeenCard } from '../passports/deviceView';
import { servedCard } from '../passports/letThrough';
import { listsOf } from '../passports/passports';
import { viewOf } from '../passports/viewOf';
import { type SyncContext, SyncRefusal } from './context';
import { type DataVersion, readFromDevice, writeForDevice } from './deviceText';
import { inSync } from './inSync';
import { noteGone } from './rememberServed';

/** A card that comes from a device. */
export interface Incoming {
  /** The last part of its address there. */
  readonly href: string;
  readonly sent: Card;
  /** In which it was sent, and is served again. */
  readonly version: DataVersion;
}

/** What became of it. */
export interface Taken {
  /** Whether it is one that the device hadn't there. */
  readonly isNew: boolean;
  /** Cards of the book that have changed by it. */
  readonly came: 0 | 1;
}

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

interface Known extends Incoming {
  /** The card at that address, as the device may see it. */
  readonly seen: SeenCard;
}

async function changeKnown(context: SyncContext, known: Known): Promise<Taken> {
  // Pictures are compared before the store is held, which nobody else can write meanwhile: again where it changes under it.
  for (;;) {
    const held = await heldBy(context.db, context, known);
    if (!held) throw new SyncRefusal('nothing', texts.cardHasJustBeen);
    const compared = await comparedWith(context, held.base, known);
    const answer = await inSync(context, async (store) => {
      const now = await heldBy(store, context, known);
      if (!now) throw new SyncRefusal('nothing', texts.cardHasJustBeen);
      return now.text === held.text
        ? applyChange(store, context, { ...known, ...now, ...compared })
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
  /** The change that had made it; null where it is none of the book's own versions. */
  readonly since: number | null;
}

/** What a device knows of a card, and the card; undefined where it is gone. */
async function heldBy(store: HubDb, { device }: SyncContext, { seen }: Known): Promise<Held | undefined> {
  const current = await findCard(store, seen.uid);
  if (!current) return undefined;
  const row = await findMemory(store, device.id, seen.uid);
  const base = row ? toCard(row.card) : asSeen(current, seen);
  const text = row?.card ?? JSON.stringify(base);
  return { current, base: ownPart(current, base), text, since: row?.seq ?? null };
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

async function comparedWith(
  { db, device }: SyncContext,
  base: Card,
  { sent, version }: Known,
): Promise<Compared> {
  const [whole = base] = await withPictures(db, [servedCard(base, device)]);
  const cut = await withCutPictures(whole, device.photoSide);
  const served = readBack(cut, version);
  return { served, same: await withServedPictures(served, sent) };
}

async function applyChange(
  store: HubDb,
  context: SyncContext,
  { href, seen: { uid }, sent, current, base, since, served, same }: Known & Held & Compared,
): Promise<Taken> {
  const { device, country, now } = context;
  const keeps = JSON.parse(device.keeps) as Keeps;
  const changed = deviceChange({ known: base, served, sent: ownPart(current, same), keeps, country });
  const theirs = await putPicturesAside(store, changed);
  const merge = mergeThree(base, current, theirs, { country });
  // The answer to what it had sent before got lost: nobody is in conflict with himself.
  const isWithItself =
    merge.conflicts.length > 0 && since !== null && !(await haveOthersChanged(store, context, uid, since));
  const { card, conflicts } = isWithItself
    ? { ...mergeThree(base, theirs, current, { country }), conflicts: [] }
    : merge;
  const merged: Card = { ...card, uid };
  const isChanged = JSON.stringify(merged) !== JSON.stringify(current);
  const after: Card = isChanged ? { ...merged, updated: now } : current;
  const seq = isChanged
    ? await putCard(store, uid, after, { ...sourceOf(context), says: texts.changed(shownAs(after)) })
    : null;
  await noteToSettle(store, { uid, conflicts, by: device.name, at: now });
  const isAllTheirs = isSameJson({ ...theirs, updated: after.updated }, after);
  await remember(store, context, {
    uid,
    href,
    ...(isAllTheirs && seq !== null ? { card: after, seq } : { card: theirs, seq: null }),
    deviceUid: sent.uid === uid ? null : sent.uid,
  });
  await noteKept(store, context, keeps, sent);
  return { isNew: false, came: isChanged ? 1 : 0 };
}

async function haveOthersChanged(
  store: HubDb,
  { device }: SyncContext,
  uid: string,
  since: number,
): Promise<boolean> {
  const row = await store
    .selectFrom('changes')
    .select('seq')
    .where('uid', '=', uid)
    .where('seq', '>', since)
    .where(({ eb, or }) => or([eb('device', 'is', null), eb('device', '<>', device.id)]))
    .limit(1)
    .executeTakeFirst();
  return row !== undefined;
}

function withoutMembers({ members: _, ...list }: Card): Card {
  return list;
}

function sourceOf({ now, device, sync }: SyncContext): Omit<ChangeSource, 'says'> {
  return { at: now, device: device.id, sync };
}

/** A card from another server is marked as stored there. */
function marked(card: Card, { device, isServer = false }: SyncContext): Card {
  return isServer || device.own === 1 ? withSource(card, device.name, true) : card;
}

function readBack(card: Card, version: DataVersion): Card {
  const [read] = readFromDevice(writeForDevice(card, version), version).cards;
  return read ?? card;
}

/**
 * A new card. It joins a card of the book only where that has its uid, or where it adds nothing to it; anything else becomes a card of its own, however alike the two look. Tidy then offers them as duplicates,
 * and somebody who knows both people decides.
 */
async function takeNew(context: SyncContext, { href, sent: given }: Incoming): Promise<Taken> {
  const { device, now } = context;
  return inSync(context, async (store) => {
    const sent = await putPicturesAside(store, given);
    await noteKept(store, context, JSON.parse(device.keeps) as Keeps, sent);
    const there = await findCard(store, sent.uid);
    // What the passport doesn't let through is as unknown as a card that was never there.
    const view = await viewOf(store, device);
    const isKnown = there && (await cardOf(view, there.uid));
    const duplicate = isKnown ? undefined : await duplicateOf(store, view, sent);
    const same =
      (isKnown ? there : undefined) ??
      (duplicate === undefined ? undefined : await findEqual(store, context, duplicate, sent));
    if (!same) return addNew(store, context, href, sent);
    const after: Card = marked({ ...unitedWith(same, sent, context), uid: same.uid, updated: now }, context);
    const seq = await putCard(store, same.uid, after, {
      ...{ ...sourceOf(context), says: texts.joinedCardOfTo(device.name, shownAs(same)) },
    });
    const known = await findMemory(store, device.id, same.uid);
    // The device has that card already: the second one goes from it with the next sync, and answers until then.
    if (known && known.href !== href) await noteGone({ db: store, device }, href, seq, same.uid);
    else await remember(store, context, { uid: same.uid, href, card: after, seq, deviceUid: sent.uid });
    return { isNew: true, came: 1 };
  });
}

async function addNew(store: HubDb, context: SyncContext, href: string, sent: Card): Promise<Taken> {
  const { device, now } = context;
  const isTaken = (await findCard(store, sent.uid)) !== undefined;
  const uid = isTaken ? `urn:uuid:${randomUUID()}` : sent.uid;
  const fresh: Card = { ...newCard(uid, now), ...sent, uid, created: sent.created ?? now, updated: now };
  const tagged =
    device.tag === null ? fresh : { ...fresh, keywords: { ...fresh.keywords, [device.tag]: true as const } };
  const own = marked(tagged, context);
  const seq = await putCard(store, own.uid, own, { ...sourceOf(context), says: texts.added(shownAs(own)) });
  const deviceUid = isTaken ? sent.uid : null;
  await remember(store, context, { uid: own.uid, href, card: own, seq, deviceUid });
  await joinList(store, context, own.uid);
  return { isNew: true, came: 1 };
}

/** A card that looks the same, where a new one says nothing beyond it. */
async function findEqual(
  store: HubDb,
  context: SyncContext,
  uid: string,
  sent: Card,
): Promise<Card | undefined> {
  const same = await findCard(store, uid);
  if (!same) return undefined;
  const { updated: _, ...united } = unitedWith(same, sent, context);
  const { updated: __, ...before } = same;
  return isSameJson(united, before) ? same : undefined;
}

function unitedWith(same: Card, sent: Card, { country }: SyncContext): Card {
  return withoutTrace(mergeCards([same, sent], { country }), same);
}

/** Merging records the cards that were merged away; the device's was never a card of the book. */
function withoutTrace(united: Card, same: Card): Card {
  const { 'cordialis.example:was': _, ...rest } = united;
  const was = same['cordialis.example:was'];
  return was ? { ...rest, 'cordialis.example:was': was } : rest;
}

/** The most cards of one name that are compared: which of more is meant nobody can say. */
const MAX_ALIKE = 50;

/** The card that the device sees and that is certainly the same person or organisation. One of another name would say something new. */
async function duplicateOf(store: HubDb, view: DeviceView, sent: Card): Promise<string | undefined> {
  const rows = await store
    .selectFrom('cards')
    .select('uid')
    .where('alike', '=', alikeOf(sent))
    .limit(MAX_ALIKE)
    .execute();
  if (rows.length === 0 || rows.length === MAX_ALIKE) return undefined;
  const index = new DuplicateIndex();
  for (const { card } of (await view.ofEach(rows.map(({ uid }) => uid))).values())
    index.put(duplicateFacts(card));
  const [duplicate, second] = index.duplicatesOf(duplicateFacts(sent));
  if (duplicate?.grade !== 'certain' || second?.grade === 'certain') return undefined;
  return duplicate.uids.find((uid) => uid !== sent.uid);
}

/**
 * A card from a device whose passport is for a list is added to that list, or it would vanish from the device at
 * once.
 */
async function joinList(store: HubDb, context: SyncContext, uid: string): Promise<void> {
  const [first] = listsOf(context.device);
  const list = first === undefined ? undefined : await findCard(store, first);
  if (!list || isRuleList(list)) return;
  const after: Card = { ...list, members: { ...list.members, [uid]: true as const }, updated: context.now };
  await putCard(store, list.uid, after, { ...sourceOf(context), says: texts.putOnto(shownAs(list)) });
}

interface Remembered {
  readonly uid: string;
  readonly href: string;
  readonly card: Card;
  /** The change that has made it; null where it is none of the book's own versions. */
  readonly seq: number | null;
  readonly deviceUid: string | null;
}

async function remember(
  store: HubDb,
  { device }: SyncContext,
  { uid, href, card, seq, deviceUid }: Remembered,
): Promise<void> {
  const then = { card: seq === null ? JSON.stringify(card) : '', seq };
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
    .values({ device: device.id, uid, href, ...then, deviceUid })
    .onConflict((conflict) => conflict.columns(['device', 'uid']).doUpdateSet({ href, ...then, deviceUid }))
    .execute();
}

async function noteKept(store: HubDb, { device }: SyncContext, keeps: Keeps, sent: Card): Promise<void> {
  const noted = JSON.stringify(noteKeeps(keeps, sent));
  if (noted !== device.keeps)
    await store.updateTable('devices').set({ keeps: noted }).where('id', '=', device.id).execute();
}
