import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

/** A password or passphrase as it is kept: no more than what tells whether one is right. */
export interface KeptSecret {
  readonly salt: string;
  readonly hash: string;
}

const derive = promisify<string, string, number, Buffer>(scrypt);
/** Octets of a derived key. */
const KEY_OCTETS = 32;

/** What is kept of a secret (scrypt, RFC 7914). */
export async function keepSecret(secret: string): Promise<KeptSecret> {
  const salt = randomBytes(16).toString('hex');
  return { salt, hash: (await derive(secret, salt, KEY_OCTETS)).toString('hex') };
}

/** Whether a secret is the one that is kept; for nobody (undefined) it takes as long and is false. */
export async function isSecret(secret: string, kept: KeptSecret | undefined): Promise<boolean> {
  const key = await derive(secret, kept?.salt ?? 'nobody', KEY_OCTETS);
  const isRight = timingSafeEqual(key, Buffer.from(kept?.hash ?? '00'.repeat(KEY_OCTETS), 'hex'));
  return kept !== undefined && isRight;
}
