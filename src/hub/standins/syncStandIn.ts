import { encodeUtf8 } from '@/core/base';
import type { Card } from '@/core/card';
import { getFormat, type ReadableFormat } from '@/core/formats';
import { withCutPictures } from '@/hub/card';
import { type DavSession, openDavSession } from '@/hub/sync';

import type { HeldCard, StandIn, StandInState } from './standIn';

/** What a sync did, or would do. */
export interface Visit {
  /** Names of cards sent to the hub. */
  readonly sent: readonly string[];
  /** Names of cards received, new or changed. */
  readonly received: readonly string[];
  readonly removed: readonly string[];
}

/**
 * One sync of a device over the network. @param base - the hub's address @throws Error in words where it can't be
 * reached or refuses
 */
export async function syncOver(
  device: StandIn,
  state: StandInState,
  base: string,
): ReturnType<typeof syncStandIn> {
  const { user, password } = state;
  return syncStandIn(device, state, await openDavSession({ base, user, password, version: device.version }));
}

/**
 * One sync of a device: it sends its changes and fetches the hub's. A change that crosses one of the hub's is sent
 * all the same, as devices do: the hub knows what the device had before.
 *
 * @throws Error in words where the hub refuses
 */
export async function syncStandIn(
  device: StandIn,
  state: StandInState,
  session: DavSession,
): Promise<{ readonly state: StandInState; readonly visit: Visit }> {
  const cards = new Map(Object.entries(state.cards));
  const sent: string[] = [];
  for (const [uid, held] of Object.entries(state.cards)) {
    if (held.state === 'same') continue;
    const status = await send(session, device, held);
    if (status >= 300 && status !== 404) throw new Error(`the hub answered ${status} to a card`);
    sent.push(nameOf(held.card));
    if (held.state === 'deleted') cards.delete(uid);
    // The merged result arrives with the fetched changes.
    else cards.set(uid, { ...held, state: 'same' });
  }
  const news = await session.news(state.syncToken);
  const received: string[] = [];
  const removed: string[] = [];
  const uidOf = new Map([...cards].map(([uid, { href }]) => [href, uid]));
  if (news.listed) forgetUnlisted(cards, news.listed);
  for (const href of news.gone) {
    const uid = uidOf.get(href);
    const held = uid === undefined ? undefined : cards.get(uid);
    if (uid === undefined || !held) continue;
    cards.delete(uid);
    removed.push(nameOf(held.card));
  }
  for (const { href, etag, text } of news.changed) {
    const card = await readCard(device, text);
    if (!card) continue;
    const known = uidOf.get(href);
    if (known !== undefined && known !== card.uid) cards.delete(known);
    const before = cards.get(card.uid);
    cards.set(card.uid, { href, etag, card, state: 'same' });
    if (JSON.stringify(before?.card) !== JSON.stringify(card)) received.push(nameOf(card));
  }
  return {
    state: { ...state, syncToken: news.syncToken, cards: Object.fromEntries(cards) },
    visit: { sent, received, removed },
  };
}

async function send(session: DavSession, device: StandIn, held: HeldCard): Promise<number> {
  const { href, etag, card, state } = held;
  if (state === 'deleted') {
    // A card changed in the meantime comes back with the fetched changes.
    const status = await session.remove(href, etag);
    return status === 412 || status === 409 ? 204 : status;
  }
  const text = device.write(card);
  const status = await session.put(href, text, state === 'new' ? '' : etag);
  return status === 412 ? session.put(href, text, undefined) : status;
}

/** After a full listing, whatever isn't on it is gone. */
function forgetUnlisted(cards: Map<string, HeldCard>, listed: readonly string[]): void {
  const hrefs = new Set(listed);
  for (const [uid, { href }] of [...cards]) if (!hrefs.has(href)) cards.delete(uid);
}

async function readCard(device: StandIn, text: string): Promise<Card | undefined> {
  // Both versions are readable.
  const format = getFormat(device.version === '4.0' ? 'vcard4' : 'vcard3') as ReadableFormat;
  const [card] = format.read(encodeUtf8(text)).cards;
  return card && withCutPictures(device.keep(card), device.photoSide);
}

function nameOf(card: Card): string {
  return card.name?.full ?? 'Somebody without a name';
}
