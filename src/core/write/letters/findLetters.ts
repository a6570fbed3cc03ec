import { type Card, formatAddress, organisationOf, preferredEntry, shownAs, type Uid } from '@/core/card';

/** Somebody who gets a letter, with what stands on it. */
export interface Letter {
  readonly uid: Uid;
  readonly name: string;
  /** Name, organisation where it goes there, address; a line of an address each, the country last where it is another. */
  readonly lines: readonly string[];
  readonly address: NonNullable<Card['addresses']>[string];
}

/** Who gets a letter, and who doesn't and why. */
export interface Letters {
  readonly letters: readonly Letter[];
  /** Those without a post address. */
  readonly without: readonly Uid[];
}

/**
 * The letters to some people, each once: to the address for post (RFC 9553 §1.5.1, delivery), else the preferred one.
 *
 * @param country - ISO 3166-1 alpha-2, from where it is sent: it isn't named on letters within it
 * @param countryName - what a country is called on letters that go there
 */
export function findLetters(
  uids: readonly Uid[],
  getCard: (uid: Uid) => Card | undefined,
  { country, countryName }: { readonly country: string; readonly countryName: (code: string) => string },
): Letters {
  const letters: Letter[] = [];
  const without: Uid[] = [];
  for (const uid of new Set(uids)) {
    const card = getCard(uid);
    if (!card) continue;
    const address = postAddress(card);
    if (!address) {
      without.push(uid);
      continue;
    }
    const name = shownAs(card);
    const house = address.contexts?.['work'] === true ? (organisationOf(card) ?? '') : '';
    const lines = [name, house === name ? '' : house, ...addressLines(address, country, countryName)];
    letters.push({ uid, name, lines: lines.filter(Boolean), address });
  }
  return { letters, without };
}

function postAddress({ addresses }: Card): Letter['address'] | undefined {
  const written = (entry: Letter['address']) => formatAddress(entry).length > 0;
  const all = Object.values(addresses ?? {}).filter(written);
  return all.find(({ contexts }) => contexts?.['delivery'] === true) ?? preferredEntry(addresses, written);
}

/** Within a country it isn't named; abroad it stands last and in capitals (Universal Postal Union, S42; from memory). */
function addressLines(
  address: Letter['address'],
  country: string,
  countryName: (code: string) => string,
): string[] {
  const named = (address.components ?? []).filter(({ kind }) => kind === 'country').map(({ value }) => value);
  const lines = formatAddress(address).filter((line) => !named.includes(line));
  const code = address.countryCode?.toUpperCase();
  if (code === country.toUpperCase()) return lines;
  const last = code === undefined ? named[0] : countryName(code);
  return last === undefined || last === '' ? lines : [...lines, last.toUpperCase()];
}
