import { createHmac, randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { sealOctets, unsealOctets } from '@/hub/base';

import { aboutOf, setAbout, unsetAbout } from './about';
import type { HubDb } from './schema/tables';

/** Octets of a key. */
const KEY = 32;
/** The key's file in the store's folder. */
export const KEY_FILE = 'hub.key';
const MARK = 'sealed:';
const keys = new WeakMap<HubDb, Buffer>();

/** Under which name a store that several hubs may be at says which key is its own. */
const MARK_NAME = 'keyMark';

/**
 * Loads the key file in a hub's folder, creating it if needed; only its owner may read it. A copy of the store alone
 * opens nothing.
 *
 * @param isShared - whether the store lies elsewhere, so that hubs with other folders may be at it
 * @throws Error in words where the store is sealed with another key
 */
export async function keepKey(db: HubDb, folder: string, isShared: boolean): Promise<void> {
  const path = join(folder, KEY_FILE);
  const mark = isShared ? await aboutOf(db, MARK_NAME) : undefined;
  if (mark !== undefined && !existsSync(path))
    throw new Error(`the store has a key already: copy ${KEY_FILE} into ${folder} from a hub that is at it`);
  if (!existsSync(path)) writeFileSync(path, randomBytes(KEY), { mode: 0o600, flag: 'wx' });
  const key = readFileSync(path);
  if (isShared && (await markIn(db, markOf(key))) !== markOf(key))
    throw new Error(`${path} is not the key of this store: copy it from a hub that is at it`);
  keys.set(db, key);
}

/** Says which key a store is sealed with that several hubs may be at, or no more for one that lies in its folder. */
export function setKeyMark(store: HubDb, key: Buffer | undefined): Promise<void> {
  return key ? setAbout(store, MARK_NAME, markOf(key)) : unsetAbout(store, MARK_NAME);
}

/** What tells a key from others without giving it away. */
function markOf(key: Buffer): string {
  return createHmac('sha256', key).update('cordialis: which key').digest('hex');
}

/** The mark of a store's key, this one where it has none yet. */
async function markIn(db: HubDb, mark: string): Promise<string | undefined> {
  await db
    .insertInto('about')
    .values({ name: MARK_NAME, value: mark })
    .onConflict((conflict) => conflict.column('name').doNothing())
    .execute();
  return aboutOf(db, MARK_NAME);
}

/** Seals a secret that has to be used again, with the store's key. */
export function seal(db: HubDb, secret: string): string {
  return MARK + sealOctets(keyOf(db), Buffer.from(secret, 'utf8')).toString('base64');
}

/** Unseals a secret; an unsealed one is returned as it is. @throws Error in words for another key */
export function unseal(db: HubDb, sealed: string): string {
  if (!sealed.startsWith(MARK)) return sealed;
  const secret = unsealOctets(keyOf(db), Buffer.from(sealed.slice(MARK.length), 'base64'));
  if (!secret)
    throw new Error('the password can’t be read with this hub’s key; remove the server and connect it again');
  return secret.toString('utf8');
}

/** The store's key. */
export function keyOf(db: HubDb): Buffer {
  const key = keys.get(db);
  if (!key) throw new Error('the store has no key');
  return key;
}
