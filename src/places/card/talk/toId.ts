/** The id of an entry (RFC 9553 §1.4.1: letters, digits, - and _) made of a uid that nothing else has. */
export function toId(uid: string): string {
  return uid.replace(/^urn:uuid:/, '').replace(/[^A-Za-z0-9_-]/g, '-');
}
