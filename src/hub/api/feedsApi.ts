import { Router } from 'express';

import { errorMessage } from '@/core/base';
import { fetchFeed, type NameLookup } from '@/hub/talks';
import { texts } from '@/texts/hub/api';

/** The most octets in an address; servers accept no longer ones. */
const MAX_ADDRESS = 2000;

/**
 * Fetches feeds for the application, which the same-origin policy keeps pages from doing: GET /?address=…
 *
 * @param lookupAt - names that stand for a place on this machine, by the port that the hub is asked at
 */
export function feedsApi(lookupAt?: (port: number) => NameLookup): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const { address } = request.query;
    if (typeof address !== 'string' || address === '' || address.length > MAX_ADDRESS)
      return void response.status(400).json({ error: texts.thisIsNoAddress });
    response.set('Cache-Control', 'no-store');
    const lookup = lookupAt?.(request.socket.localPort ?? 0);
    await fetchFeed(address, lookup).then(
      (feed) => void response.json(feed),
      (error: unknown) => void response.status(422).json({ error: errorMessage(error) }),
    );
  });
  return router;
}
