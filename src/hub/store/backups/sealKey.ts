import { randomBytes } from 'node:crypto';

import { z } from 'zod';

import { type Cost, deriveKey, sealOctets, unsealOctets } from '@/hub/base';

/** OWASP's Password Storage Cheat Sheet (from memory): the first of its choices, 128 MB. More than of a sign-in, as a backup lies about. */
const COST: Cost = { N: 2 ** 17, r: 8, p: 1 };

const sealedSchema = z.object({
  kdf: z.literal('scrypt'),
  N: z.int().max(2 ** 20),
  r: z.int().max(32),
  p: z.int().max(16),
  /** In base64, as what follows. */
  salt: z.string(),
  sealed: z.string(),
});

/** Seals a store's key with a passphrase. @returns JSON */
export async function sealKey(key: Buffer, passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  const by = await deriveKey(passphrase.normalize('NFC'), salt, COST);
  const [saltText, sealed] = [salt, sealOctets(by, key)].map((octets) => octets.toString('base64'));
  return JSON.stringify({ kdf: 'scrypt', ...COST, salt: saltText, sealed });
}

/** Unseals a store's key. @returns undefined for another passphrase, and for what was changed */
export async function unsealKey(text: string, passphrase: string): Promise<Buffer | undefined> {
  const { salt, sealed, N, r, p } = sealedSchema.parse(JSON.parse(text));
  const by = await deriveKey(passphrase.normalize('NFC'), Buffer.from(salt, 'base64'), { N, r, p });
  return unsealOctets(by, Buffer.from(sealed, 'base64'));
}
