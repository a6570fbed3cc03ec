import { randomUUID } from 'node:crypto';

import { isSameJson } from '@/core/base';
import { type Card, newCard, shownAs } from '@/core/card';
import { isRuleList } from '@/core/lists';
import type { Keeps } from '@/core/sync';
import { duplicateFacts, DuplicateIndex, mergeCards } from '@/core/tidy';
import { alikeOf, findCard, findMemory, type HubDb, putCard, putPicturesAside } from '@/hub/store';
import { texts } from '@/texts/sync/dav';

import { cardOf, type DeviceView } from '../passports/deviceView';
import { listsOf } from '../passports/passports';
import { viewOf } from '../passports/viewOf';
import type { SyncContext } from './context';
import { type Incoming, marked, noteKept, remember, sourceOf, type Taken } from './incoming';
import { inSync } from './inSync';
import { noteGone } from './rememberServed';

/**
 * A new card. It joins a card of the book only where that has its uid, or where it adds nothing to it; anything else becomes a card of its own, however alike the two look. Tidy then offers them as duplicates,
 * and somebody who knows both people decides.
 */
export async function takeNew(context: SyncContext, { href, sent: given }: Incoming): Promise<Taken> {
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
    if (!same) return addNew(store, context, { href, sent, isTaken: there !== undefined });
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

interface Fresh extends Pick<Incoming, 'href' | 'sent'> {
  /** Whether its uid is that of a card which is none of the device's business. */
  readonly isTaken: boolean;
}

async function addNew(store: HubDb, context: SyncContext, { href, sent, isTaken }: Fresh): Promise<Taken> {
  const { device, now } = context;
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
