import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import type { HubDb } from './schema';

/** AES-256-GCM (NIST SP 800-38D): octets of the key, the nonce and the tag. */
const [KEY, NONCE, TAG] = [32, 12, 16];
const MARK = 'sealed:';
const keys = new WeakMap<HubDb, Buffer>();

/**
 * Loads the key file beside the store, creating it if needed; only its owner may read it. A copy of the store alone
 * opens nothing.
 */
export function keepKey(db: HubDb, folder: string): void {
  const path = join(folder, 'hub.key');
  if (!existsSync(path)) writeFileSync(path, randomBytes(KEY), { mode: 0o600, flag: 'wx' });
  keys.set(db, readFileSync(path));
}

/** Seals a secret that has to be used again, with the store's key. */
export function seal(db: HubDb, secret: string): string {
  const nonce = randomBytes(NONCE);
  const cipher = createCipheriv('aes-256-gcm', keyOf(db), nonce);
  const octets = Buffer.concat([nonce, cipher.update(secret, 'utf8'), cipher.final(), cipher.getAuthTag()]);
  return MARK + octets.toString('base64');
}

/** Unseals a secret; an unsealed one is returned as it is. @throws Error in words for another key */
export function unseal(db: HubDb, sealed: string): string {
  if (!sealed.startsWith(MARK)) return sealed;
  const octets = Buffer.from(sealed.slice(MARK.length), 'base64');
  const opener = createDecipheriv('aes-256-gcm', keyOf(db), octets.subarray(0, NONCE));
  opener.setAuthTag(octets.subarray(-TAG));
  try {
    return opener.update(octets.subarray(NONCE, -TAG), undefined, 'utf8') + opener.final('utf8');
  } catch {
    throw new Error('the password can’t be read with this hub’s key; remove the server and connect it again');
  }
}

/** The store's key. */
export function keyOf(db: HubDb): Buffer {
  const key = keys.get(db);
  if (!key) throw new Error('the store has no key');
  return key;
}
