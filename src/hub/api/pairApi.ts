import express, { Router } from 'express';
import { z } from 'zod';

import { browserOf } from '@/hub/access';
import { type HubDb, type Limit, mayTry, wasRight } from '@/hub/store';
import { forgetBrowser, makeCode, pairBrowser } from '@/hub/sync';
import { texts } from '@/texts/hub/api';

/**
 * Codes that are tried in ten minutes, from one address and from all: 40 bits can't be guessed in so few. A code stays good
 * whatever others try, so that nobody is kept out of their own hub by somebody who guesses.
 */
const PER_ADDRESS: Limit = { name: 'code', most: 10, withinMs: 600_000 };
const IN_ALL: Limit = { name: 'codes', most: 100, withinMs: 600_000 };

const pairSchema = z.object({ code: z.string().max(40), name: z.string().max(200) });
const nameSchema = z.object({ name: z.string().max(200) });

/**
 * Pairs browsers with the hub, by a code that the hub prints or another paired browser shows.
 *
 * @param isDemo - a demo hands its codes out: there is nothing in it that is anybody's
 */
export function pairApi(db: HubDb, isDemo: boolean): Router {
  const router = Router();
  router.use(express.json({ limit: '4kb' }));
  router.post('/', async (request, response) => {
    const { success, data } = pairSchema.safeParse(request.body);
    if (!success) return void response.status(400).json({ error: texts.codeAndNameAreNeeded });
    const from = request.ip ?? '';
    if (!(await mayTry(db, Date.now(), [PER_ADDRESS, from], [IN_ALL, ''])))
      return void response.status(429).json({ error: texts.tooManyCodes });
    const paired = await pairBrowser(db, data, Date.now());
    if (!paired) return void response.status(403).json({ error: texts.thatCodeIsNotValid });
    await wasRight(db, [PER_ADDRESS, from]);
    response.status(201).json(paired);
  });
  if (isDemo)
    router.post('/demo-code', async (_, response) => {
      response.status(201).json({ code: await makeCode(db, Date.now()) });
    });
  router.post('/code', async (_, response) => {
    response.status(201).json({ code: await makeCode(db, Date.now()) });
  });
  router.delete('/', async (request, response) => {
    const { success, data } = nameSchema.safeParse(request.body ?? {});
    await forgetBrowser(db, success ? data.name : browserOf(request).name);
    response.status(204).end();
  });
  return router;
}
