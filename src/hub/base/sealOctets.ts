import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto';

/** AES-256-GCM (NIST SP 800-38D): octets of the nonce and the tag. */
const [NONCE, TAG] = [12, 16];

/** Seals octets. @param key - 32 octets @returns nonce, sealed octets and tag */
export function sealOctets(key: Buffer, octets: Buffer): Buffer {
  const nonce = randomBytes(NONCE);
  const cipher = createCipheriv('aes-256-gcm', key, nonce);
  return Buffer.concat([nonce, cipher.update(octets), cipher.final(), cipher.getAuthTag()]);
}

/** Unseals what was sealed. @returns undefined for another key, and for what was changed */
export function unsealOctets(key: Buffer, sealed: Buffer): Buffer | undefined {
  try {
    const opener = createDecipheriv('aes-256-gcm', key, sealed.subarray(0, NONCE));
    opener.setAuthTag(sealed.subarray(-TAG));
    return Buffer.concat([opener.update(sealed.subarray(NONCE, -TAG)), opener.final()]);
  } catch {
    return undefined;
  }
}
