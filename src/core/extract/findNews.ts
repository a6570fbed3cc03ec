import { foldText, hashText } from '@/core/base';
import {
  type Address,
  type Card,
  countriesOf,
  formatAddress,
  formatPhone,
  isAmong,
  newCard,
  parsePhone,
  shownAs,
} from '@/core/card';
import type { News, Signature } from '@/core/talks';

import { extractCard } from './extractCard';
import type { ExtractOptions } from './spans';

/** Lines at the end of a message in which a signature is looked for. */
const LINES = 24;

/**
 * What a signature says that the card of whoever wrote it doesn't say: another organisation or post, a number, a mail
 * address or an address that isn't there. Nothing where the signature is somebody else's, as an assistant's is.
 */
export function findNews(card: Card, { uid, day, text }: Signature, options: ExtractOptions = {}): News[] {
  const end = signatureIn(text, card);
  const { card: read } = extractCard(end, newCard('signature', `${day}T00:00:00Z`), options);
  if (!isTheirs(card, read)) return [];
  const found: Omit<News, 'id' | 'uid' | 'day'>[] = [];
  for (const collection of ['organizations', 'titles'] as const) {
    const [fresh] = Object.values(read[collection] ?? {});
    const name = fresh?.name;
    if (name === undefined) continue;
    const known = Object.entries(card[collection] ?? {});
    if (known.some(([, one]) => isSameWords(one.name ?? '', name))) continue;
    const [id, old] = known.length === 1 && known[0] ? known[0] : [];
    found.push({
      ...{ collection, entry: { name }, shown: name },
      ...(id === undefined || old?.name === undefined ? {} : { replaces: id, before: old.name }),
    });
  }
  const countries = countriesOf(options.country, card, read);
  for (const collection of ['phones', 'emails'] as const) {
    const known: readonly object[] = Object.values(card[collection] ?? {});
    const isKnown = (entry: object) => isAmong(collection, known, entry, countries);
    for (const entry of Object.values(read[collection] ?? {}))
      if (![entry, ...asAtHome(entry)].some(isKnown))
        found.push({
          collection,
          entry: { ...entry },
          shown: 'number' in entry ? formatPhone(entry.number, options.country) : entry.address,
        });
  }
  for (const address of Object.values(read.addresses ?? {})) {
    const known = Object.values(card.addresses ?? {});
    // A town alone is no address that somebody has moved to.
    if (!hasStreet(address) || known.some((one) => isSamePlace(one, address))) continue;
    found.push({ collection: 'addresses', entry: { ...address }, shown: formatAddress(address).join(', ') });
  }
  return found.map((one) => ({
    ...{ id: hashText(`${uid} ${one.collection} ${foldText(one.shown)}`), uid, day },
    ...one,
  }));
}

/** The same number as at home: without a code it may have been read by the habits of another country. */
function asAtHome(entry: object): object[] {
  const parsed = 'number' in entry ? parsePhone(String(entry.number)) : undefined;
  return parsed ? [{ number: parsed.national }] : [];
}

/** Letters of a line with a name and no more. */
const NAME_LINE = 60;

/** The end of a message; from the line with the writer's name on, where there is one. */
function signatureIn(text: string, card: Card): string {
  const lines = text.trimEnd().split('\n').slice(-LINES);
  const name = foldText(shownAs(card));
  const at = lines.findLastIndex((line) => line.length < NAME_LINE && foldText(line).includes(name));
  // Behind the mark of RFC 3676 §4.3 a signature needs no greeting before it.
  return at <= 0 ? lines.join('\n') : ['-- ', ...lines.slice(at)].join('\n');
}

/** Whether a signature can be that of whoever has the card: their surname is in it, or their mail address. */
function isTheirs(card: Card, read: Card): boolean {
  const mails = new Set(Object.values(card.emails ?? {}).map(({ address }) => address.toLowerCase()));
  if (Object.values(read.emails ?? {}).some(({ address }) => mails.has(address.toLowerCase()))) return true;
  if (!read.name) return false;
  const words = foldText(shownAs(read)).split(' ');
  const surnames = (card.name?.components ?? []).filter(
    ({ kind }) => kind === 'surname' || kind === 'surname2',
  );
  return surnames.length > 0
    ? surnames.every(({ value }) =>
        foldText(value)
          .split(' ')
          .every((word) => words.includes(word)),
      )
    : foldText(shownAs(card)) === foldText(shownAs(read));
}

/** The same words, or one of them inside the other: "Tidewater" is no other house than "Tidewater Octet". */
function isSameWords(a: string, b: string): boolean {
  const [one, other] = [foldText(a), foldText(b)];
  return one === other || ` ${one} `.includes(` ${other} `) || ` ${other} `.includes(` ${one} `);
}

function partOf({ components = [] }: Address, kinds: readonly string[]): string {
  return foldText(
    components
      .filter(({ kind }) => kinds.includes(kind))
      .map(({ value }) => value)
      .join(' '),
  );
}

function hasStreet(address: Address): boolean {
  return (
    partOf(address, ['name', 'number', 'block', 'building']) !== '' &&
    partOf(address, ['locality', 'postcode']) !== ''
  );
}

function isSamePlace(a: Address, b: Address): boolean {
  const street = ['name', 'number', 'block', 'building'];
  const postcode = [partOf(a, ['postcode']), partOf(b, ['postcode'])];
  const isOtherTown = postcode.every(Boolean) && postcode[0] !== postcode[1];
  return !isOtherTown && isSameWords(partOf(a, street), partOf(b, street));
}
