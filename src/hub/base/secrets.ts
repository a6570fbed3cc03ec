import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

/** A stored password or passphrase: only enough to verify one. */
export interface KeptSecret {
  readonly salt: string;
  /** `scrypt$N$r$p$KEY`, the key in hexadecimal digits; digits alone where it was derived with the parameters of before. */
  readonly hash: string;
}

/** The cost of a derivation (RFC 7914 §2): N blocks, their size, how often. */
export interface Cost {
  readonly N: number;
  readonly r: number;
  readonly p: number;
}

/** How hard it is made now: OWASP's Password Storage Cheat Sheet (from memory), the choice that takes 16 MB for a moment. */
const COST: Cost = { N: 2 ** 14, r: 8, p: 5 };
/** Before the cost was stored. */
const FIRST_COST: Cost = { N: 2 ** 14, r: 8, p: 1 };
/** Octets of a derived key. */
const KEY_OCTETS = 32;

const derive = promisify<string, string | Buffer, number, Cost & { maxmem: number }, Buffer>(scrypt);

let lastDerived: Promise<unknown> = Promise.resolve();

/**
 * Derives a key of 32 octets from what somebody has typed (scrypt, RFC 7914). One after the other: each takes 16 MB for a moment, and
 * all devices may come at once.
 */
export function deriveKey(secret: string, salt: string | Buffer, cost: Cost): Promise<Buffer> {
  const { N, r, p } = cost;
  // Twice what it takes (RFC 7914 §2): more is refused.
  const maxmem = 2 * 128 * r * (N + p);
  const derived = lastDerived.then(() => derive(secret, salt, KEY_OCTETS, { ...cost, maxmem }));
  lastDerived = derived.catch(() => undefined);
  return derived;
}

/** Passphrases with fewer letters are guessed too easily (NIST SP 800-63B requires at least 8). */
export const MIN_PASSPHRASE = 12;

/** Hashes a secret (scrypt, RFC 7914). */
export async function keepSecret(secret: string): Promise<KeptSecret> {
  const salt = randomBytes(16).toString('hex');
  const key = await deriveKey(secret, salt, COST);
  return { salt, hash: `scrypt$${COST.N}$${COST.r}$${COST.p}$${key.toString('hex')}` };
}

/** Verifies a secret; undefined is false and takes as long, so that timing doesn't reveal who exists. */
export async function isSecret(secret: string, kept: KeptSecret | undefined): Promise<boolean> {
  const { cost, key: right } = kept ? read(kept) : { cost: COST, key: Buffer.alloc(KEY_OCTETS) };
  const key = await deriveKey(secret, kept?.salt ?? 'nobody', cost);
  const isRight = right.length === key.length && timingSafeEqual(key, right);
  return kept !== undefined && isRight;
}

/** Whether a secret was hashed less hard, or otherwise, than is done now: it is hashed anew when it is next told. */
export function isOutdated(kept: KeptSecret): boolean {
  const { N, r, p } = read(kept).cost;
  return N !== COST.N || r !== COST.r || p !== COST.p;
}

function read({ hash }: KeptSecret): { readonly cost: Cost; readonly key: Buffer } {
  const [, N, r, p, key] = /^scrypt\$(\d+)\$(\d+)\$(\d+)\$([0-9a-f]+)$/.exec(hash) ?? [];
  if (key === undefined) return { cost: FIRST_COST, key: Buffer.from(hash, 'hex') };
  return { cost: { N: Number(N), r: Number(r), p: Number(p) }, key: Buffer.from(key, 'hex') };
}
