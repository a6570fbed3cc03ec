import { addressPart, type Card, nameParts, organisationOf, type Uid } from '@/core/card';

import type { Letter } from './findLetters';

/** Lines of an address that have a column of their own. */
const LINES = 6;

/**
 * The people and their addresses as a table for a word processor: CSV (RFC 4180) with a heading, a line each. What a
 * program could take for a formula is kept from being one.
 */
export function writeLetterList(
  letters: readonly Letter[],
  getCard: (uid: Uid) => Card | undefined,
  salutationFor: (card: Card) => string,
): string {
  const rows = letters.map(({ uid, name, lines, address }) => {
    const card = getCard(uid);
    return {
      Salutation: card ? salutationFor(card) : '',
      Name: name,
      'Given name': nameParts(card?.name, 'given'),
      Surname: nameParts(card?.name, 'surname'),
      Organisation: card ? (organisationOf(card) ?? '') : '',
      ...Object.fromEntries(Array.from({ length: LINES }, (_, i) => [`Line ${i + 1}`, lines[i] ?? ''])),
      Postcode: addressPart(address, 'postcode'),
      Town: addressPart(address, 'locality'),
      Country: address.countryCode ?? addressPart(address, 'country'),
    };
  });
  const [first = {}] = rows;
  const lines = [Object.keys(first), ...rows.map((row) => Object.values(row))];
  return lines.map((line) => `${line.map(quoted).join(',')}\r\n`).join('');
}

/** A value of a table (RFC 4180 §2), every one in quotes; an apostrophe keeps it from being read as a formula. */
function quoted(value: string): string {
  const plain = /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;
  return `"${plain.replaceAll('"', '""')}"`;
}
