import type { Card } from '@/core/card';

/** A card as a device may see it, without what is on it. */
export interface SeenHead {
  readonly uid: string;
  /** The last part of its address. */
  readonly href: string;
  /** Strong, with its quotes. */
  readonly etag: string;
  /** The change with which the book's card became what this is made of. */
  readonly seq: number;
}

/** The same with where it comes when all are told, which no change of it moves. */
export interface PlacedHead extends SeenHead {
  readonly place: string;
}

/** A card as a device may see it. */
export interface SeenCard extends SeenHead {
  readonly card: Card;
  /** As vCard 3.0 with pictures of the size that the device gets, where that has been made before. */
  readonly text?: string | undefined;
  /** As whose what is made of it may be kept; undefined where it is this device's alone. */
  readonly shape?: string | undefined;
}

/**
 * What a device may see. It is read from the store when it is asked for, so that a change that comes meanwhile may be in it: whoever
 * tells it on says so with the token, which is of the moment before anything was read.
 */
export interface DeviceView {
  /** The last change before it. */
  readonly seq: number;
  /** Of this state (RFC 6578 §4). */
  readonly token: string;
  /** Cards by the last parts of their addresses; there is none for others. */
  atEach(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenCard>>;
  /** The same, without what is on them. */
  headsAt(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenHead>>;
  /** Cards by their uids. */
  ofEach(uids: readonly string[]): Promise<ReadonlyMap<string, SeenCard>>;
  /** The same, without what is on them. */
  headsOf(uids: readonly string[]): Promise<ReadonlyMap<string, SeenHead>>;
  /** All cards in the order in which they are told, some at a time. @param after - only those that come after this place */
  heads(after?: string): AsyncIterable<readonly PlacedHead[]>;
  /** The lists among them. */
  lists(): Promise<readonly SeenHead[]>;
}

/** The card at an address; undefined where the device has none there. */
export async function cardAt(view: DeviceView, href: string): Promise<SeenCard | undefined> {
  return (await view.atEach([href])).get(href);
}

/** The card of a uid. */
export async function cardOf(view: DeviceView, uid: string): Promise<SeenCard | undefined> {
  return (await view.ofEach([uid])).get(uid);
}

/** All heads at once. */
export async function allHeads(view: DeviceView): Promise<SeenHead[]> {
  const heads: SeenHead[] = [];
  for await (const some of view.heads()) for (const one of some) heads.push(one);
  return heads;
}

/** How many cards there are. */
export async function countIn(view: DeviceView): Promise<number> {
  let count = 0;
  for await (const some of view.heads()) count += some.length;
  return count;
}

/** A card of the book as a device knows it: of a list with those members that it may know of. */
export function asSeen(card: Card, seen: SeenCard): Card {
  return card.kind === 'group' ? { ...card, members: seen.card.members ?? {} } : card;
}
