import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';

import type { Selectable } from 'kysely';

import { isOutdated, isSecret, keepSecret, type KeptSecret } from '@/hub/base';
import { type DevicesTable, type HubDb, inTransaction, lastSeq } from '@/hub/store';

/** A device with its passport, as the store has it. */
export type Device = Selectable<DevicesTable>;

/** What a device may receive, and in which direction. */
export interface Passport {
  readonly name: string;
  readonly direction: Device['direction'];
  /** Which cards it may have; told from what follows where it isn't said. */
  readonly scope?: Device['scope'];
  readonly tag?: string;
  /** Uids of lists. */
  readonly lists?: readonly string[];
  /** Whether notes go along; true unless said. */
  readonly notes?: boolean;
  /** Whether photos go along; true unless said. */
  readonly photos?: boolean;
  /** The longer side that photos are cut down to, in pixels; null for as they are. */
  readonly photoSide?: number | null;
  /** Whether lists go along as group cards; false unless said, as few devices know what to do with them. */
  readonly groups?: boolean;
  /** Whether only cards go that are kept there by choice or came from there. */
  readonly own?: boolean;
  /** Whose access to the common directory (its user's number) lets it be served, too; 0 for nobody's. */
  readonly directory?: number;
}

/** A new device's password is told once and kept as a hash only. */
export interface Credentials {
  readonly user: string;
  readonly password: string;
}

/** Booleans in SQLite. */
const flag = (is: boolean) => (is ? 1 : 0);

/** Letters and digits that can't be mistaken for each other when typed from a screen. */
const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';
const PASSWORD_SIGNS = 20;

/** Adds a device with a password of its own. @throws RangeError where there is one of that name, or the name is empty */
export async function addDevice(db: HubDb, passport: Passport, now: string): Promise<Credentials> {
  const name = passport.name.trim();
  if (name === '') throw new RangeError('a device needs a name');
  const password = randomSigns(PASSWORD_SIGNS);
  const { salt, hash } = await keepSecret(password);
  const { direction, tag = null, lists = [], notes = true, photos = true, groups = false } = passport;
  const { photoSide = null, own = false, directory = 0 } = passport;
  const scope = passport.scope ?? scopeIn(passport) ?? 'all';
  const user = await inTransaction(db, async (store) => {
    const known = await store.selectFrom('devices').select('id').where('name', '=', name).executeTakeFirst();
    if (known) throw new RangeError(`there is a device called ${name}`);
    const free = await freeUser(store, name);
    await store
      .insertInto('devices')
      .values({
        ...{ name, user: free, salt, hash, direction, scope, tag, lists: JSON.stringify(lists) },
        ...{ notes: flag(notes), photos: flag(photos), groups: flag(groups) },
        ...{ photoSide, own: flag(own), directory },
        ...{ paused: 0, created: now, seen: null, since: await lastSeq(store), keeps: '{}' },
      })
      .execute();
    return free;
  });
  return { user, password };
}

/** What a wish for some cards may say of them. */
type Wish = { readonly [K in 'own' | 'tag' | 'lists']?: Passport[K] | undefined };

/** The scope that a wish for some cards implies; undefined where it implies none, so that nothing becomes wider by being left out. */
function scopeIn({ own, tag, lists }: Wish): Device['scope'] | undefined {
  if (own === true) return 'kept';
  if (tag !== undefined && tag !== '') return 'tag';
  return lists && lists.length > 0 ? 'lists' : undefined;
}

/** Devices in the order in which they came. */
export function listDevices(db: HubDb): Promise<Device[]> {
  return db.selectFrom('devices').selectAll().orderBy('id').execute();
}

/** The device of a name; undefined where there is none. */
export function findDevice(db: HubDb, name: string): Promise<Device | undefined> {
  return db.selectFrom('devices').selectAll().where('name', '=', name).executeTakeFirst();
}

/** Pauses or resumes a device. @returns whether there is one of that name */
export function pauseDevice(db: HubDb, name: string, isPaused: boolean): Promise<boolean> {
  return inTransaction(db, async (store) => {
    const [done] = await store
      .updateTable('devices')
      .set({ paused: flag(isPaused) })
      .where('name', '=', name)
      .execute();
    return (done?.numUpdatedRows ?? 0n) > 0n;
  });
}

/** The lists that a passport is for, by their uids. */
export function listsOf({ lists }: Pick<Device, 'lists'>): string[] {
  // Written by this file only.
  return JSON.parse(lists) as string[];
}

/** Changes a passport and invalidates the device's sync tokens. @returns whether there is one of that name */
export function changePassport(
  db: HubDb,
  name: string,
  {
    direction,
    scope: said,
    tag,
    lists,
    notes,
    photos,
    photoSide,
    groups,
    own,
    directory,
  }: Partial<Omit<Passport, 'name'>>,
): Promise<boolean> {
  const scope = said ?? scopeIn({ own, tag, lists });
  return inTransaction(db, async (store) => {
    const [done] = await store
      .updateTable('devices')
      .set({
        since: await lastSeq(store),
        ...(scope === undefined ? {} : { scope }),
        ...(direction === undefined ? {} : { direction }),
        ...(tag === undefined ? {} : { tag: tag === '' ? null : tag }),
        ...(lists === undefined ? {} : { lists: JSON.stringify(lists) }),
        ...(notes === undefined ? {} : { notes: flag(notes) }),
        ...(photos === undefined ? {} : { photos: flag(photos) }),
        ...(photoSide === undefined ? {} : { photoSide }),
        ...(groups === undefined ? {} : { groups: flag(groups) }),
        ...(own === undefined ? {} : { own: flag(own) }),
        ...(directory === undefined ? {} : { directory }),
      })
      .where('name', '=', name)
      .execute();
    return (done?.numUpdatedRows ?? 0n) > 0n;
  });
}

/** Removes a passport; no card is touched, here or there. @returns whether there was one of that name */
export function removeDevice(db: HubDb, name: string): Promise<boolean> {
  return inTransaction(db, async (store) => {
    const device = await store.selectFrom('devices').select('id').where('name', '=', name).executeTakeFirst();
    if (!device) return false;
    for (const table of ['memory', 'gone', 'syncs', 'accounts'] as const)
      await store.deleteFrom(table).where('device', '=', device.id).execute();
    await store.deleteFrom('devices').where('id', '=', device.id).execute();
    return true;
  });
}

/** Passwords that were right a moment ago, so that not every request costs a derivation; in memory only. */
const lately = new Map<string, { readonly hash: string; readonly key: Buffer }>();
const quickSalt = randomBytes(16);

/** The device of a name and a password that were right a moment ago; undefined for any others. */
export async function knownLately(db: HubDb, user: string, password: string): Promise<Device | undefined> {
  const known = lately.get(user);
  if (!known || !timingSafeEqual(known.key, quickKey(password))) return undefined;
  const device = await db.selectFrom('devices').selectAll().where('user', '=', user).executeTakeFirst();
  return device?.hash === known.hash ? device : undefined;
}

/** Authenticates a device; undefined for an unknown name and a wrong password alike, after the same work. */
export async function signIn(db: HubDb, user: string, password: string): Promise<Device | undefined> {
  const device = await db.selectFrom('devices').selectAll().where('user', '=', user).executeTakeFirst();
  const isRight = await isSecret(password, device);
  if (!device || !isRight) return undefined;
  const renewed = isOutdated(device) ? { ...device, ...(await renew(db, device.id, password)) } : device;
  lately.set(device.user, { hash: renewed.hash, key: quickKey(password) });
  return renewed;
}

/** Hashes a password anew, as hard as it is done now. */
async function renew(db: HubDb, id: number, password: string): Promise<KeptSecret> {
  const kept = await keepSecret(password);
  await inTransaction(db, (store) => store.updateTable('devices').set(kept).where('id', '=', id).execute());
  return kept;
}

function quickKey(password: string): Buffer {
  return createHmac('sha256', quickSalt).update(password).digest();
}

function randomSigns(count: number): string {
  let text = '';
  // 31 characters: octets from 248 on would make some more likely than others.
  while (text.length < count)
    for (const octet of randomBytes(count))
      if (octet < 248 && text.length < count) text += SIGNS.charAt(octet % SIGNS.length);
  return text;
}

async function freeUser(db: HubDb, name: string): Promise<string> {
  const plain =
    name
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 30) || 'device';
  for (let count = 1; ; count += 1) {
    const user = count === 1 ? plain : `${plain}-${count}`;
    if (!(await db.selectFrom('devices').select('id').where('user', '=', user).executeTakeFirst()))
      return user;
  }
}
