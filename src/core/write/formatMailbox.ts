import { encodeWords, isPlainAscii } from './encodeWords';

/** Somebody's address with their name. */
export interface Mailbox {
  /** '' for none. */
  readonly name: string;
  readonly address: string;
}

/** RFC 5322 §3.2.3: what an atom may be made of. */
const ATOM = /^[A-Za-z0-9!#$%&'*+\-/=?^_`{|}~]+$/;

/**
 * A mailbox as RFC 5322 §3.4 writes it: a name of plain words as it is, one with other signs in quotes, one in another
 * script as encoded words (RFC 2047 §5).
 */
export function formatMailbox({ name, address }: Mailbox): string {
  const plain = name.replace(/[\r\n\t]+/g, ' ').trim();
  const bare = address.replace(/[\r\n<>\s]+/g, '');
  if (plain === '') return bare;
  if (!isPlainAscii(plain)) return `${encodeWords(plain)} <${bare}>`;
  const isWords = plain.split(' ').every((word) => ATOM.test(word));
  return `${isWords ? plain : `"${plain.replace(/[\\"]/g, '\\$&')}"`} <${bare}>`;
}
