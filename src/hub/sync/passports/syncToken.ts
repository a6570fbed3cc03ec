/** RFC 6578 §4: a token is a URI; what follows the last slash is the number of a change. */
const BASE = 'http://cordialis.example/sync/';

/** The token of a state of the book. */
export function syncTokenOf(seq: number): string {
  return `${BASE}${seq}`;
}

/** The change number in a token; undefined for a foreign token. */
export function seqOf(token: string): number | undefined {
  const number = new RegExp(`^${BASE.replaceAll('.', '\\.')}(\\d{1,15})$`).exec(token)?.[1];
  return number === undefined ? undefined : Number(number);
}
