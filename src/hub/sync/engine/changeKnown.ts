import { isSameJson } from '@/core/base';
import { type Card, shownAs } from '@/core/card';
import { isRuleList } from '@/core/lists';
import { deviceChange, type Keeps, mergeThree } from '@/core/sync';
import { withCutPictures, withServedPictures } from '@/hub/card';
import {
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

import { asSeen, type SeenCard } from '../passports/deviceView';
import { servedCard } from '../passports/letThrough';
import { type SyncContext, SyncRefusal } from './context';
import { type DataVersion, readFromDevice, writeForDevice } from './deviceText';
import { type Incoming, noteKept, remember, sourceOf, type Taken } from './incoming';
import { inSync } from './inSync';

interface Known extends Incoming {
  /** The card at that address, as the device may see it. */
  readonly seen: SeenCard;
}

/** Merges what a device has changed on a card that it has into the book. @throws SyncRefusal */
export async function changeKnown(context: SyncContext, known: Known): Promise<Taken> {
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

function readBack(card: Card, version: DataVersion): Card {
  const [read] = readFromDevice(writeForDevice(card, version), version).cards;
  return read ?? card;
}
