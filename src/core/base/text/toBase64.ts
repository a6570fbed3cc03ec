/** What every place that core runs in has (WHATWG HTML §8.3). */
declare const btoa: (binary: string) => string;

/** Octets as base64 (RFC 4648 §4). */
export function toBase64(octets: Uint8Array): string {
  return btoa(Array.from(octets, (octet) => String.fromCharCode(octet)).join(''));
}
