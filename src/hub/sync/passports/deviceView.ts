import { createHash } from 'node:crypto';

import { isSameJson } from '@/core/base';
import type { Card } from '@/core/card';
import { isRuleList } from '@/core/lists';
import { duplicateFacts, DuplicateIndex } from '@/core/tidy';
import { cardToSend } from '@/core/write';
import { allCards, changedSince, type HubDb, lastSeq, toCard } from '@/hub/store';

import { membersOf, sentMembers } from './membersOf';
import { type Device, listsOf } from './passports';
import { syncTokenOf } from './syncToken';

/** A card as a device may see it. */
export interface SeenCard {
  readonly uid: string;
  /** The last part of its address. */
  readonly href: string;
  /** Strong, with its quotes. */
  readonly etag: string;
  readonly card: Card;
  /** The change up to which it is looked at: the book's card was then what this is made of. */
  readonly seq: number;
}

/** What a device may see of the book at a moment. */
export interface DeviceView {
  readonly seq: number;
  /** Of this state (RFC 6578 §4). */
  readonly token: string;
  readonly byUid: ReadonlyMap<string, SeenCard>;
  readonly byHref: ReadonlyMap<string, SeenCard>;
  /** The index that new cards are compared with; built on first use. */
  duplicateIndex(): DuplicateIndex;
}

class KeptView implements DeviceView {
  seq = 0;
  readonly byUid = new Map<string, SeenCard>();
  readonly byHref = new Map<string, SeenCard>();
  /** Lists that are let through, with all their members. */
  readonly lists = new Map<string, Card>();
  private index: DuplicateIndex | undefined;

  constructor(
    private readonly db: HubDb,
    readonly stamp: string,
  ) {}

  get token(): string {
    return syncTokenOf(this.db, { seq: this.seq });
  }

  put(uid: string, seen: SeenCard | undefined): void {
    const before = this.byUid.get(uid);
    if (before && this.byHref.get(before.href) === before) this.byHref.delete(before.href);
    this.byUid.delete(uid);
    this.index?.remove(uid);
    if (!seen) return;
    this.byUid.set(uid, seen);
    this.byHref.set(seen.href, seen);
    this.index?.put(duplicateFacts(seen.card));
  }

  putList(uid: string, list: Card | undefined): void {
    if (list) this.lists.set(uid, list);
    else {
      this.lists.delete(uid);
      this.put(uid, undefined);
    }
  }

  duplicateIndex(): DuplicateIndex {
    if (!this.index) {
      this.index = new DuplicateIndex();
      for (const { card } of this.byUid.values()) this.index.put(duplicateFacts(card));
    }
    return this.index;
  }
}

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
  const seq = await lastSeq(db);
  const lists = listsOf(device);
  const { scope, tag, since, notes, photos, photoSide, groups, own: isOwn } = device;
  const stamp = JSON.stringify([scope, tag, lists, since, notes, photos, photoSide, groups, isOwn]);
  const known = kept.get(device.id);
  if (known?.stamp === stamp && known.seq === seq) return known;
  const changed = known?.stamp === stamp ? await changedSince(db, known.seq) : undefined;
  const isWhole = !known || !changed || lists.some((list) => changed.has(list));
  const view = isWhole ? new KeptView(db, stamp) : known;
  const members = await membersOf(db, lists);
  const cards: Iterable<readonly [string, Card | undefined]> = isWhole
    ? (await allCards(db)).map((card) => [card.uid, card] as const)
    : (changed ?? []);
  const hrefs = await hrefsOf(db, device, isWhole ? undefined : [...(changed?.keys() ?? [])]);
  // Those that the device knows come first: their addresses are taken.
  const inOrder = [...cards].sort(([a], [b]) => Number(hrefs.has(b)) - Number(hrefs.has(a)));
  for (const [uid, card] of inOrder) {
    const filled = card && isRuleList(card) ? await filledList(db, card) : card;
    const isSeen = filled !== undefined && isLetThrough(device, filled, members);
    if (filled?.kind === 'group' || view.lists.has(uid)) view.putList(uid, isSeen ? filled : undefined);
    if (filled?.kind !== 'group')
      view.put(uid, isSeen ? seenAs(view, device, { card: filled, seq }, hrefs) : undefined);
  }
  // A list names only those that the device may know of.
  for (const [uid, list] of view.lists) {
    const open = { ...list, members: visibleMembers(list, view) };
    const href = view.byUid.get(uid)?.href ?? hrefs.get(uid);
    const known = href === undefined ? hrefs : new Map([[uid, href]]);
    const seen = seenAs(view, device, { card: open, seq }, known);
    if (seen.etag !== view.byUid.get(uid)?.etag) view.put(uid, seen);
  }
  view.seq = seq;
  kept.set(device.id, view);
  return view;
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

function seenAs(
  view: KeptView,
  device: Device,
  { card, seq }: Pick<SeenCard, 'card' | 'seq'>,
  hrefs: ReadonlyMap<string, string>,
): SeenCard {
  const served = servedCard(card, device);
  return {
    ...{ uid: card.uid, card: served, etag: etagOf(served, device), seq },
    href: freeHref(view, card.uid, hrefs.get(card.uid) ?? hrefFor(card.uid)),
  };
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
async function hrefsOf(
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
