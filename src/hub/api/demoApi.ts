import { Router } from 'express';

import { generateBook } from '@/demo';

/** The invented cards that a demo book begins with. @param day - the day its dates are relative to */
export function demoApi(day: string): Router {
  const router = Router();
  const cards = JSON.stringify(generateBook(day));
  router.get(
    '/cards',
    (_, response) => void response.type('json').set('Cache-Control', 'no-store').send(cards),
  );
  return router;
}
