import { createHash } from 'node:crypto';

import type { Card } from '@/core/card';
import { isRuleList } from '@/core/lists';
import { duplicateFacts, DuplicateIndex } from '@/core/tidy';
import { cardToSend } from '@/core/write';
import { allCards, changedSince, type HubDb, lastSeq } from '@/hub/store';

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
  private index: DuplicateIndex | undefined;

  constructor(readonly stamp: string) {}

  get token(): string {
    return syncTokenOf(this.seq);
  }

  put(uid: string, seen: SeenCard | undefined): void {
    const before = this.byUid.get(uid);
    if (before) this.byHref.delete(before.href);
    this.byUid.delete(uid);
    this.index?.remove(uid);
    if (!seen) return;
    this.byUid.set(uid, seen);
    this.byHref.set(seen.href, seen);
    this.index?.put(duplicateFacts(seen.card));
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

/** Whether a passport includes a card. @param members - of the list that the passport is for */
function isLetThrough(device: Device, card: Card, members: ReadonlySet<string> | undefined): boolean {
  if (card['cordialis.example:private'] === true) return false;
  if (card.kind === 'group') return isListLetThrough(device, card);
  const { tag } = device;
  if (card['cordialis.example:archived'] === true) return false;
  if (device.own === 1 && card['cordialis.example:sources']?.[device.name] !== true) return false;
  if (tag !== null && card.keywords?.[tag] !== true) return false;
  return !members || members.has(card.uid);
}

/** Lists go to devices that can hold them; to one that gets some lists only, those. */
function isListLetThrough(device: Device, list: Card): boolean {
  if (device.groups === 0 || device.tag !== null) return false;
  const lists = listsOf(device);
  return lists.length === 0 || lists.includes(list.uid);
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
 * What a device may see now. Cached between requests and updated by the changes since.
 *
 * @param db - the store itself, not a transaction
 */
export async function viewOf(db: HubDb, device: Device): Promise<DeviceView> {
  const kept = views.get(db) ?? new Map<number, KeptView>();
  views.set(db, kept);
  const seq = await lastSeq(db);
  const lists = listsOf(device);
  const { tag, since, notes, photos, photoSide, groups, own: isOwn } = device;
  const stamp = JSON.stringify([tag, lists, since, notes, photos, photoSide, groups, isOwn]);
  const known = kept.get(device.id);
  if (known?.stamp === stamp && known.seq === seq) return known;
  const changed = known?.stamp === stamp ? await changedSince(db, known.seq) : undefined;
  const isWhole = !known || !changed || lists.some((list) => changed.has(list));
  const view = isWhole ? new KeptView(stamp) : known;
  const members = lists.length === 0 ? undefined : await membersOf(db, lists);
  const cards: Iterable<readonly [string, Card | undefined]> = isWhole
    ? (await allCards(db)).map((card) => [card.uid, card] as const)
    : (changed ?? []);
  const hrefs = await hrefsOf(db, device, isWhole ? undefined : [...(changed?.keys() ?? [])]);
  for (const [uid, card] of cards) {
    const filled = card && isRuleList(card) ? await filledList(db, card) : card;
    const own = filled && isLetThrough(device, filled, members) ? servedCard(filled, device) : undefined;
    view.put(uid, own && { uid, href: hrefs.get(uid) ?? hrefFor(uid), etag: etagOf(own, device), card: own });
  }
  view.seq = seq;
  kept.set(device.id, view);
  return view;
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

/** The entity tag (RFC 9110 §8.8.3) of what a device may see of a card. */
export function etagOf(card: Card, { photoSide }: Pick<Device, 'photoSide'>): string {
  const text = JSON.stringify(photoSide === null || !card.media ? card : [card, photoSide]);
  return `"${createHash('sha256').update(text).digest('hex').slice(0, 32)}"`;
}
