import { foldStrictly, strictWords } from '@/core/base';

import { formatAddress } from '../formatAddress';
import type { Address } from '../schema/types';
import { countryOf } from './countryOf';
import { isBetterText, type Sameness } from './sameness';

/**
 * What one address says beside another: the same where all its parts but the country are, by their kinds or as they are written one after the
 * other, and no other country is named.
 */
export function compareAddresses(known: Address, fresh: Address): Sameness {
  const [here, there] = [countryOf(known), countryOf(fresh)];
  if (here !== undefined && there !== undefined && here !== there) return 'different';
  const mine = writingsOf(known);
  if (!writingsOf(fresh).some((one) => mine.includes(one))) return 'different';
  if (partsOf(known) !== partsOf(fresh)) return partsOf(fresh) > partsOf(known) ? 'better' : 'same';
  if (here === undefined && there !== undefined) return 'better';
  return isBetterText(textOf(fresh), textOf(known)) ? 'better' : 'same';
}

/** An address in the ways in which another one may say the same; of one that is nothing but a country, that. */
function writingsOf(address: Address): string[] {
  const { components = [], full } = address;
  const parts = components.filter(({ kind }) => kind !== 'separator');
  const placed = parts.filter(({ kind }) => kind !== 'country');
  const ways = [placed, parts].map((some) => wordsOf(some.map(({ value }) => value).join(' ')));
  const { full: _, ...divided } = address;
  const lines = formatAddress({ ...divided, components: placed, isOrdered: false }).join(' ');
  const byKind = placed.map(({ kind, value }) => `${kind}: ${wordsOf(value)}`).sort();
  const all = [...ways, wordsOf(lines), wordsOf(full ?? ''), byKind.join('; ')].filter((one) => one !== '');
  // Signs without a word, or nothing at all.
  return all.length > 0 ? all : [foldStrictly(full ?? '')];
}

function wordsOf(text: string): string {
  return strictWords(text).join(' ');
}

function textOf(address: Address): string {
  return formatAddress(address).join('\n');
}

/** How many parts say something: separators only stand between them. */
function partsOf({ components = [] }: Address): number {
  return components.filter(({ kind }) => kind !== 'separator').length;
}
