import { Router } from 'express';

import { generateBook, generateTalks } from '@/demo';

/** The invented cards and talks that a demo book begins with. @param day - the day its dates are relative to */
export function demoApi(day: string): Router {
  const router = Router();
  const records = { cards: JSON.stringify(generateBook(day)), talks: JSON.stringify(generateTalks(day)) };
  for (const [name, text] of Object.entries(records))
    router.get(
      `/${name}`,
      (_, response) => void response.type('json').set('Cache-Control', 'no-store').send(text),
    );
  return router;
}
