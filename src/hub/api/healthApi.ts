import { Router } from 'express';

import { type HubDb, isReady } from '@/hub/store';

/**
 * GET / says whether the hub can do its work (200, or 503 where the store can't be read or written); GET /alive only that it runs.
 * Neither says anything of what is in it.
 */
export function healthApi(db: HubDb | undefined): Router {
  const router = Router();
  router.get('/', async (_, response) => {
    const ready = db === undefined || (await isReady(db));
    response
      .status(ready ? 200 : 503)
      .set('Cache-Control', 'no-store')
      .json({ alive: true, ready });
  });
  router.get('/alive', (_, response) => void response.set('Cache-Control', 'no-store').json({ alive: true }));
  return router;
}
