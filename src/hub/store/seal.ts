import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { sealOctets, unsealOctets } from '@/hub/base';

import type { HubDb } from './schema';

/** Octets of a key. */
const KEY = 32;
/** The key's file in the store's folder. */
export const KEY_FILE = 'hub.key';
const MARK = 'sealed:';
const keys = new WeakMap<HubDb, Buffer>();

/**
 * Loads the key file beside the store, creating it if needed; only its owner may read it. A copy of the store alone
 * opens nothing.
 */
export function keepKey(db: HubDb, folder: string): void {
  const path = join(folder, KEY_FILE);
  if (!existsSync(path)) writeFileSync(path, randomBytes(KEY), { mode: 0o600, flag: 'wx' });
  keys.set(db, readFileSync(path));
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
