import { encodeUtf8, toBase64 } from '@/core/base';
import {
  addressPart,
  type Card,
  formatAddress,
  nameParts,
  organisationOf,
  preferredEntry,
  shownAs,
} from '@/core/card';

/** RFC 2849 note 10: lines may be folded; 76 columns is what its own examples keep to. */
const MAX_LINE = 76;

/**
 * Cards as an LDIF file (RFC 2849) of inetOrgPerson entries (RFC 2798); organisations as organization entries.
 *
 * @param base - where they stand: "ou=directory"
 */
export function writeLdif(cards: readonly Card[], base: string): string {
  return ['version: 1\n', ...cards.map((card) => entryOf(card, base))].join('\n');
}

function entryOf(card: Card, base: string): string {
  const dn = `uid=${escapeDn(card.uid)},${base}`;
  const pairs = card.kind === 'org' ? organisationPairs(card) : personPairs(card);
  const all: [string, string][] = [['dn', dn], ...pairs.filter(([, value]) => value.trim() !== '')];
  return all.map(([name, value]) => lineOf(name, value)).join('');
}

function personPairs(card: Card): [string, string][] {
  const shown = shownAs(card);
  const surname = nameParts(card.name, 'surname');
  return [
    ['objectClass', 'inetOrgPerson'],
    ['uid', card.uid],
    ['cn', shown],
    // inetOrgPerson must have one (RFC 4519 §3.12).
    ['sn', surname === '' ? shown : surname],
    ['givenName', nameParts(card.name, 'given')],
    ['displayName', shown],
    ['o', organisationOf(card) ?? ''],
    ...Object.values(card.titles ?? {}).map(({ name }): [string, string] => ['title', name]),
    ...reachPairs(card),
  ];
}

function organisationPairs(card: Card): [string, string][] {
  return [
    ['objectClass', 'organization'],
    ['objectClass', 'uidObject'],
    ['uid', card.uid],
    ['o', shownAs(card)],
    ...reachPairs(card).filter(([name]) => name !== 'mail' && name !== 'mobile'),
  ];
}

function reachPairs(card: Card): [string, string][] {
  const address = preferredEntry(card.addresses);
  const part = (kind: string) => (address ? addressPart(address, kind) : '');
  return [
    ...Object.values(card.emails ?? {}).map((one): [string, string] => ['mail', one.address]),
    ...Object.values(card.phones ?? {}).map(({ number, features }): [string, string] => [
      features?.['mobile'] === true ? 'mobile' : 'telephoneNumber',
      number,
    ]),
    // RFC 4517 §3.3.28: lines with dollar signs between them.
    ['postalAddress', address ? formatAddress(address).map(escapePostal).join('$') : ''],
    ['l', part('locality')],
    ['postalCode', part('postcode')],
  ];
}

function escapePostal(line: string): string {
  return line.replaceAll('\\', '\\5C').replaceAll('$', '\\24');
}

/** RFC 4514 §2.4: what stands for something else in a name. */
function escapeDn(value: string): string {
  return value.replace(/[\\"+,;<>=]/g, (char) => `\\${char}`).replace(/^[ #]|[ ]$/g, (char) => `\\${char}`);
}

/** SAFE-STRING of RFC 2849: ASCII, and nothing at the beginning that would mean something else. */
const SAFE = /^[\x01-\x09\x0b\x0c\x0e-\x1f\x21-\x39\x3b\x3d-\x7f][\x01-\x09\x0b\x0c\x0e-\x7f]*$/;

/** One attribute, folded; whatever isn't safe as it stands is base64 of UTF-8, and so is what ends with a space. */
function lineOf(name: string, value: string): string {
  const isSafe = SAFE.test(value) && !value.endsWith(' ');
  const line = isSafe ? `${name}: ${value}` : `${name}:: ${toBase64(encodeUtf8(value))}`;
  const pieces = [line.slice(0, MAX_LINE)];
  for (let at = MAX_LINE; at < line.length; at += MAX_LINE - 1)
    pieces.push(line.slice(at, at + MAX_LINE - 1));
  return `${pieces.join('\n ')}\n`;
}
