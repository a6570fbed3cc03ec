import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

/** A stored password or passphrase: only enough to verify one. */
export interface KeptSecret {
  readonly salt: string;
  readonly hash: string;
}

const derive = promisify<string, string, number, Buffer>(scrypt);
/** Octets of a derived key. */
const KEY_OCTETS = 32;

/** Hashes a secret (scrypt, RFC 7914). */
export async function keepSecret(secret: string): Promise<KeptSecret> {
  const salt = randomBytes(16).toString('hex');
  return { salt, hash: (await derive(secret, salt, KEY_OCTETS)).toString('hex') };
}

/** Verifies a secret; undefined is false and takes as long, so that timing doesn't reveal who exists. */
export async function isSecret(secret: string, kept: KeptSecret | undefined): Promise<boolean> {
  const key = await derive(secret, kept?.salt ?? 'nobody', KEY_OCTETS);
  const isRight = timingSafeEqual(key, Buffer.from(kept?.hash ?? '00'.repeat(KEY_OCTETS), 'hex'));
  return kept !== undefined && isRight;
}
