import { findCountryCode } from '@/core/base';
import { type Address, type Card, placeOf, preferredEntry } from '@/core/card';

import { parseGeoUri, type Point } from './distance';
import type { Gazetteer } from './gazetteer';
import { placeKey } from './placeKey';

/** What an address says about where it is. Plain data, so that it can be handed to a worker. */
export interface AddressPlace {
  readonly town: string;
  readonly region: string;
  /** ISO 3166-1 alpha-2; '' where it isn't known. */
  readonly country: string;
  /** As the card itself has it. */
  readonly point?: Point;
}

/** Where something is, and how that is known: from the card, by its town, or only by its country. */
export interface Spot extends Point {
  readonly by: 'card' | 'town' | 'country';
  /** The town as the card has it; the country's code where only that is known. */
  readonly name: string;
}

/** The places of a card's addresses, the preferred one first; addresses that say nothing of it are left out. */
export function addressPlaces(card: Card): AddressPlace[] {
  const first = preferredEntry(card.addresses);
  return Object.values(card.addresses ?? {})
    .sort((a, b) => Number(b === first) - Number(a === first))
    .map(toPlace)
    .filter(({ town, country, point }) => town !== '' || country !== '' || point !== undefined);
}

function toPlace(address: Address): AddressPlace {
  const part = (kind: string) => address.components?.find((one) => one.kind === kind)?.value ?? '';
  const point = address.coordinates === undefined ? undefined : parseGeoUri(address.coordinates);
  return {
    town: placeOf(address),
    region: part('region'),
    country: (address.countryCode ?? codeOf(part('country'))).toUpperCase(),
    ...(point ? { point } : {}),
  };
}

const codes = new Map<string, string>();

/** A book has few countries and many cards. */
function codeOf(country: string): string {
  if (country === '') return '';
  const known = codes.get(country);
  if (known !== undefined) return known;
  const code = findCountryCode(country) ?? '';
  codes.set(country, code);
  return code;
}

/** Points of towns by what cards say themselves, for towns that no gazetteer has. */
export type KnownTowns = ReadonlyMap<string, Point>;

/** The key of a town in KnownTowns. */
export function townKey({ town, country }: Pick<AddressPlace, 'town' | 'country'>): string {
  return `${placeKey(town)}|${country}`;
}

/**
 * Where an address is: by its own coordinates, else by its town (as another card or the gazetteer has it), else by its
 * country, for which the capital stands.
 *
 * @returns undefined where not even the country is known
 */
export function locate(place: AddressPlace, gazetteer: Gazetteer, known: KnownTowns): Spot | undefined {
  const { town, region, country, point } = place;
  if (point) return { ...point, by: 'card', name: town || country };
  if (town !== '') {
    const found = known.get(townKey(place)) ?? gazetteer.find({ name: town, region, country });
    if (found) return { lat: found.lat, lon: found.lon, by: 'town', name: town };
  }
  const capital = country === '' ? undefined : gazetteer.capitalOf(country);
  return capital && { lat: capital.lat, lon: capital.lon, by: 'country', name: country };
}
