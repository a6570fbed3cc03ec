import { createHash } from 'node:crypto';

import { isSameJson } from '@/core/base';
import type { Card } from '@/core/card';
import { isRuleList } from '@/core/lists';
import { cardToSend } from '@/core/write';
import { bookOf, changedUids, type HubDb, lastSeq, toCard } from '@/hub/store';

import { type DeviceView, KeptView, type SeenCard } from './keptView';
import { membersOf, sentMembers } from './membersOf';
import { type Device, listsOf } from './passports';

const views = new WeakMap<HubDb, Map<number, KeptView>>();

/**
 * Whether a passport lets a card through. Its scope says which; what else it names narrows that, so that a passport that
 * says two things is for what both allow.
 *
 * @param members - of the lists that the passport is for
 */
export function isLetThrough(device: Device, card: Card, members: ReadonlySet<string>): boolean {
  const { scope, tag, own } = device;
  if (scope === 'nothing' || card['cordialis.example:private'] === true) return false;
  const isKept = card['cordialis.example:sources']?.[device.name] === true;
  if ((scope === 'kept' || own === 1) && !isKept) return false;
  if (card.kind === 'group') return isListLetThrough(device, card);
  if (card['cordialis.example:archived'] === true) return false;
  if (scope === 'tag' && tag === null) return false;
  if (tag !== null && card.keywords?.[tag] !== true) return false;
  return !isForLists(device) || members.has(card.uid);
}

/** Lists go to devices that can hold them; to one that gets some lists only, those. */
function isListLetThrough(device: Device, list: Card): boolean {
  if (device.groups === 0 || device.tag !== null || device.scope === 'tag') return false;
  return !isForLists(device) || listsOf(device).includes(list.uid);
}

/** Whether only those on some lists go, be there such lists or not. */
function isForLists(device: Device): boolean {
  return device.scope === 'lists' || listsOf(device).length > 0;
}

/** The card without private values and without what the passport excludes. */
export function servedCard(card: Card, { notes, photos }: Pick<Device, 'notes' | 'photos'>): Card {
  const { notes: said, media, ...rest } = cardToSend(card, { withNotes: true });
  return {
    ...rest,
    ...(said && notes === 1 ? { notes: said } : {}),
    ...(media && photos === 1 ? { media } : {}),
  };
}

/**
 * What a device may see now. Cached between requests and updated by the changes since. Every reading and writing of a device
 * goes through it: what isn't in it is as unknown as what was never there.
 *
 * @param db - the store itself, not a transaction
 */
export async function viewOf(db: HubDb, device: Device): Promise<DeviceView> {
  if (device.direction === 'in') return ownView(db, device);
  const kept = views.get(db) ?? new Map<number, KeptView>();
  views.set(db, kept);
  const book = await bookOf(db);
  const { seq } = book;
  const lists = listsOf(device);
  const { scope, tag, since, groups, own: isOwn } = device;
  const shape = shapeOf(device);
  const stamp = JSON.stringify([scope, tag, lists, since, shape, groups, isOwn]);
  const known = kept.get(device.id);
  const [nowMs, isSameStamp] = [Date.now(), known?.stamp === stamp];
  if (known) known.usedMs = nowMs;
  if (known && isSameStamp && known.seq === seq) return known;
  const changed = known && isSameStamp ? await changedUids(db, known.seq) : undefined;
  const isWhole = !known || !changed || lists.some((list) => changed.includes(list));
  const isForAll = scope === 'all' && tag === null && lists.length === 0 && isOwn === 0;
  const view = isWhole
    ? new KeptView(db, stamp, isForAll ? JSON.stringify([shape, groups]) : undefined)
    : known;
  const members = await membersOf(db, lists);
  const uids = isWhole ? [...book.cards.keys()] : changed;
  const hrefs = await hrefsOf(db, device, isWhole ? undefined : uids);
  const looking: Looking = { view, device, made: shapesIn(db, shape) };
  // Those that the device knows come first: their addresses are taken.
  const inOrder = uids.toSorted((a, b) => Number(hrefs.has(b)) - Number(hrefs.has(a)));
  for (const uid of inOrder) {
    const one = book.cards.get(uid);
    if (!one) forgetShapes(db, uid);
    const filled = one && isRuleList(one.card) ? await filledList(db, one.card) : one?.card;
    const isSeen = filled !== undefined && isLetThrough(device, filled, members);
    if (filled?.kind === 'group' || view.lists.has(uid)) view.putList(uid, isSeen ? filled : undefined);
    if (filled?.kind === 'group') continue;
    view.put(uid, isSeen && one ? seenAs(looking, { ...one, card: filled }, hrefs) : undefined);
  }
  // A list names only those that the device may know of.
  for (const [uid, list] of view.lists) {
    const open = { ...list, members: visibleMembers(list, view) };
    const href = view.byUid.get(uid)?.href ?? hrefs.get(uid);
    const addresses = href === undefined ? hrefs : new Map([[uid, href]]);
    const of = book.cards.get(uid)?.seq ?? seq;
    const seen = seenAs(looking, { card: open, seq: of }, addresses);
    if (seen.etag !== view.byUid.get(uid)?.etag) view.put(uid, seen);
  }
  view.seq = seq;
  view.usedMs = nowMs;
  kept.set(device.id, view);
  for (const [id, one] of kept) if (nowMs - one.usedMs > KEPT_MS) kept.delete(id);
  return view;
}

/** How long a view is kept that nobody looks at, in milliseconds: devices come every quarter of an hour. */
const KEPT_MS = 10 * 60_000;

/** What of a card goes along: devices for which it is the same see the same. */
function shapeOf({ notes, photos, photoSide }: Pick<Device, 'notes' | 'photos' | 'photoSide'>): string {
  return JSON.stringify([notes, photos, photoSide]);
}

/** A device that only sends sees what it has sent, as it did: nothing of the book goes to it. */
async function ownView(db: HubDb, device: Device): Promise<DeviceView> {
  const view = new KeptView(db, '');
  view.seq = await lastSeq(db);
  const rows = await db
    .selectFrom('memory')
    .innerJoin('cards', 'cards.uid', 'memory.uid')
    .select(['memory.uid', 'memory.href', 'memory.card'])
    .where('memory.device', '=', device.id)
    .execute();
  for (const { uid, href, card: text } of rows) {
    const card = servedCard(toCard(text), device);
    view.put(uid, { uid, href, etag: etagOf(card, device), card, seq: view.seq });
  }
  return view;
}

/** Cards as they are seen, by shape and uid: made once for all devices that see the same of them. */
const shapes = new WeakMap<HubDb, Map<string, Map<string, SeenCard>>>();

/** What a card is made into for a device. */
interface Looking {
  readonly view: KeptView;
  readonly device: Device;
  /** What has been made already for those that see the same. */
  readonly made: Map<string, SeenCard>;
}

function seenAs(
  { view, device, made }: Looking,
  { card, seq }: Pick<SeenCard, 'card' | 'seq'>,
  hrefs: ReadonlyMap<string, string>,
): SeenCard {
  const { uid } = card;
  const href = freeHref(view, uid, hrefs.get(uid) ?? hrefFor(uid));
  // Of a list each sees other members.
  const isShared = card.kind !== 'group';
  const known = isShared ? made.get(uid) : undefined;
  if (known?.seq === seq) return known.href === href ? known : { ...known, href };
  const served = servedCard(card, device);
  const seen = { uid, card: served, etag: etagOf(served, device), seq, href };
  if (isShared) made.set(uid, seen);
  return seen;
}

/** Of a card that is gone nothing is kept. */
function forgetShapes(db: HubDb, uid: string): void {
  for (const cards of shapes.get(db)?.values() ?? []) cards.delete(uid);
}

function shapesIn(db: HubDb, shape: string): Map<string, SeenCard> {
  const known = shapes.get(db) ?? new Map<string, Map<string, SeenCard>>();
  shapes.set(db, known);
  const made = known.get(shape) ?? new Map<string, SeenCard>();
  known.set(shape, made);
  return made;
}

/** The address itself, or where the device has put something else there, one that nothing else has. */
function freeHref(view: KeptView, uid: string, wanted: string): string {
  const there = view.byHref.get(wanted);
  return there === undefined || there.uid === uid ? wanted : hrefFor(`${wanted} ${uid}`);
}

/** The members of a list that a view lets its device know of. */
function visibleMembers(list: Card, view: Pick<DeviceView, 'byUid'>): Record<string, true> {
  const uids = Object.keys(list.members ?? {}).filter((uid) => view.byUid.has(uid));
  return Object.fromEntries(uids.map((uid) => [uid, true as const]));
}

/** A rule list with the members that the application last reported; undefined before the first report. */
async function filledList(db: HubDb, list: Card): Promise<Card | undefined> {
  const uids = await sentMembers(db, list.uid);
  return uids && { ...list, members: Object.fromEntries(uids.map((uid) => [uid, true as const])) };
}

/** The most uids queried one by one rather than reading all rows. */
const FEW = 500;

/** The addresses under which the device knows cards. @param uids - only of these, where they are few */
export async function hrefsOf(
  db: HubDb,
  device: Device,
  uids: readonly string[] | undefined,
): Promise<Map<string, string>> {
  const all = db.selectFrom('memory').select(['uid', 'href']).where('device', '=', device.id);
  const rows = await (uids && uids.length <= FEW ? all.where('uid', 'in', uids) : all).execute();
  return new Map(rows.map(({ uid, href }) => [uid, href]));
}

/** The address of a card that the device hasn't named itself: its UUID, or else a hash of its uid. */
export function hrefFor(uid: string): string {
  const uuid = /^urn:uuid:([0-9a-f-]{36})$/i.exec(uid)?.[1];
  return `${uuid ?? createHash('sha256').update(uid).digest('hex').slice(0, 40)}.vcf`;
}

/** A card of the book as a device knows it: of a list with those members that it may know of. */
export function asSeen(card: Card, seen: SeenCard): Card {
  return card.kind === 'group' ? { ...card, members: seen.card.members ?? {} } : card;
}

/** Whether two versions of a card say the same to a device, whenever they were written. */
export function isSameFor(device: Pick<Device, 'notes' | 'photos'>, one: Card, other: Card): boolean {
  const { updated: _, ...first } = servedCard(one, device);
  const { updated: __, ...second } = servedCard(other, device);
  return isSameJson(first, second);
}

/** The entity tag (RFC 9110 §8.8.3) of what a device may see of a card. */
export function etagOf(card: Card, { photoSide }: Pick<Device, 'photoSide'>): string {
  const text = JSON.stringify(photoSide === null || !card.media ? card : [card, photoSide]);
  return `"${createHash('sha256').update(text).digest('hex').slice(0, 32)}"`;
}
