/** This moment as a UTCDateTime (RFC 9553 §1.4.5), whole seconds. */
export function utcNow(): string {
  return `${new Date().toISOString().slice(0, 19)}Z`;
}

/** This moment in milliseconds since 1970. */
export function nowMs(): number {
  return Date.now();
}

/** A uid that no card has: urn:uuid of version 4 (RFC 9562). */
export function newUid(): string {
  return `urn:uuid:${crypto.randomUUID()}`;
}
