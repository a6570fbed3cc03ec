import { createCipheriv, createDecipheriv, randomBytes, scrypt } from 'node:crypto';
import { promisify } from 'node:util';

import { z } from 'zod';

/** The cost of a derivation (RFC 7914 §2), and the memory it may take, in octets: more than of a sign-in, as a backup lies about. */
interface Cost {
  readonly N: number;
  readonly r: number;
  readonly p: number;
}
/** OWASP's Password Storage Cheat Sheet (from memory): the first of its choices, 128 MB. */
const COST: Cost = { N: 2 ** 17, r: 8, p: 1 };
const memoryFor = ({ N, r, p }: Cost) => 2 * 128 * r * (N + p);

/** AES-256-GCM (NIST SP 800-38D): octets of the key and the nonce. */
const [KEY, NONCE] = [32, 12];

const sealedSchema = z.object({
  kdf: z.literal('scrypt'),
  N: z
    .number()
    .int()
    .max(2 ** 20),
  r: z.number().int().max(32),
  p: z.number().int().max(16),
  /** In base64, as what follows. */
  salt: z.string(),
  nonce: z.string(),
  tag: z.string(),
  sealed: z.string(),
});

const derive = promisify<string, Buffer, number, Cost & { maxmem: number }, Buffer>(scrypt);
const inBase64 = (octets: Buffer) => octets.toString('base64');
const fromBase64 = (text: string) => Buffer.from(text, 'base64');

/** Seals a store's key with a passphrase. @returns JSON */
export async function sealKey(key: Buffer, passphrase: string): Promise<string> {
  const [salt, nonce] = [randomBytes(16), randomBytes(NONCE)];
  const by = await derive(passphrase.normalize('NFC'), salt, KEY, { ...COST, maxmem: memoryFor(COST) });
  const cipher = createCipheriv('aes-256-gcm', by, nonce);
  const sealed = Buffer.concat([cipher.update(key), cipher.final()]);
  return JSON.stringify({
    ...{ kdf: 'scrypt', ...COST, salt: inBase64(salt), nonce: inBase64(nonce) },
    ...{ tag: inBase64(cipher.getAuthTag()), sealed: inBase64(sealed) },
  });
}

/** Unseals a store's key. @returns undefined for another passphrase, and for what was changed */
export async function unsealKey(text: string, passphrase: string): Promise<Buffer | undefined> {
  const { N, r, p, salt, nonce, tag, sealed } = sealedSchema.parse(JSON.parse(text));
  const cost = { N, r, p };
  const by = await derive(passphrase.normalize('NFC'), fromBase64(salt), KEY, {
    ...cost,
    maxmem: memoryFor(cost),
  });
  const opener = createDecipheriv('aes-256-gcm', by, fromBase64(nonce));
  opener.setAuthTag(fromBase64(tag));
  try {
    return Buffer.concat([opener.update(fromBase64(sealed)), opener.final()]);
  } catch {
    return undefined;
  }
}
