/**
 * A mail address in the form by which two are the same: without white space around it, in lower case, composed (Unicode NFC; RFC 6532 §3.1).
 * RFC 5321 §2.4 lets the part before the @ mind case; no provider met in the wild does (common practice).
 */
export function normalizeAddress(address: string): string {
  return address.trim().toLowerCase().normalize('NFC');
}
