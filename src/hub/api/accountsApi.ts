import { Router } from 'express';

import { errorMessage } from '@/core/base';
import { accountSchema } from '@/core/sync';
import { utcNow } from '@/hub/base';
import type { HubDb } from '@/hub/store';
import { addAccount, listAccounts, syncAccount } from '@/hub/sync';
import { texts } from '@/texts/hub/api';

import { describeIssue } from './describeIssue';

/** Other servers, of which the hub is a client. @param country - ISO 3166-1 alpha-2 */
export function accountsApi(db: HubDb, country: string): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const wish = accountSchema.safeParse(request.body);
    if (!wish.success) return void response.status(400).json({ error: describeIssue(wish.error) });
    try {
      await addAccount(db, wish.data, utcNow());
    } catch (error) {
      return void response.status(409).json({ error: errorMessage(error) });
    }
    response.status(201).json({ name: wish.data.name });
  });
  router.post('/:name/sync', async (request, response) => {
    const account = (await listAccounts(db)).find(({ passport }) => passport.name === request.params.name);
    if (!account) return void response.status(404).json({ error: texts.thereIsNoSuchServer });
    try {
      response.json(await syncAccount({ db, now: utcNow(), country }, account));
    } catch (error) {
      response.status(409).json({ error: errorMessage(error) });
    }
  });
  return router;
}
