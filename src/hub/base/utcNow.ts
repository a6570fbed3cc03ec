/** The moment as a UTCDateTime (RFC 9553 §1.4.5), to the second. */
export function utcNow(): string {
  return `${new Date().toISOString().slice(0, 19)}Z`;
}
