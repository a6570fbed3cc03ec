import { type Card, withSource } from '@/core/card';
import { type Keeps, noteKeeps } from '@/core/sync';
import type { ChangeSource, HubDb } from '@/hub/store';

import type { SyncContext } from './context';
import type { DataVersion } from './deviceText';

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

export function sourceOf({ now, device, sync }: SyncContext): Omit<ChangeSource, 'says'> {
  return { at: now, device: device.id, sync };
}

/** A card from another server is marked as stored there. */
export function marked(card: Card, { device, isServer = false }: SyncContext): Card {
  return isServer || device.own === 1 ? withSource(card, device.name, true) : card;
}

interface Remembered {
  readonly uid: string;
  readonly href: string;
  readonly card: Card;
  /** The change that has made it; null where it is none of the book's own versions. */
  readonly seq: number | null;
  readonly deviceUid: string | null;
}

export async function remember(
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

export async function noteKept(
  store: HubDb,
  { device }: SyncContext,
  keeps: Keeps,
  sent: Card,
): Promise<void> {
  const noted = JSON.stringify(noteKeeps(keeps, sent));
  if (noted !== device.keeps)
    await store.updateTable('devices').set({ keeps: noted }).where('id', '=', device.id).execute();
}

/** The uid under which a device has sent a card that has another one here. */
export async function sentAs(
  db: HubDb,
  { id }: SyncContext['device'],
  uid: string,
): Promise<string | undefined> {
  const row = await db
    .selectFrom('memory')
    .select('deviceUid')
    .where('device', '=', id)
    .where('uid', '=', uid)
    .executeTakeFirst();
  return row?.deviceUid ?? undefined;
}
