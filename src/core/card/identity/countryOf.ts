import { findCountryCode, foldStrictly } from '@/core/base';

import type { Address, Card } from '../schema/types';

const codes = new Map<string, string | undefined>();

/** The country of an address: its code (ISO 3166-1 alpha-2), or its name where that isn't known; undefined where it has none. */
export function countryOf({ components = [], countryCode }: Address): string | undefined {
  if (countryCode !== undefined && countryCode !== '') return countryCode.toUpperCase();
  const name = components.find(({ kind }) => kind === 'country')?.value;
  if (name === undefined || name.trim() === '') return undefined;
  if (!codes.has(name)) codes.set(name, findCountryCode(name) ?? foldStrictly(name));
  return codes.get(name);
}

/**
 * By which countries' habits numbers on some cards may have been written: those of their addresses, then that of the book.
 *
 * @param country - ISO 3166-1 alpha-2, of the book
 */
export function countriesOf(country: string | undefined, ...cards: readonly Card[]): string[] {
  const all = cards.flatMap(({ addresses = {} }) => Object.values(addresses).map(countryOf));
  return [...new Set([...all, country])].filter(
    (code) => code !== undefined && /^[A-Z]{2}$/.test(code),
  ) as string[];
}
