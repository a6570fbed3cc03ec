import express, { Router } from 'express';

import { mailsToSendSchema } from '@/core/sync';
import { findStandInHead } from '@/hub/standins';
import type { HubDb } from '@/hub/store';
import { listMails, MailFault, newMail, openMail, sendMails } from '@/hub/write';
import { texts } from '@/texts/hub/api';

import { describeIssue } from './describeIssue';
import { numberOf } from './numberOf';

/** Messages with attached cards fit into one request. */
const MAX_BODY = '60mb';

/** The simulated mail client's mailbox, for paired browsers. Nothing in it leaves this machine. */
export function mailboxApi(db: HubDb): Router {
  const router = Router();
  router.use(express.json({ limit: MAX_BODY }));
  router.get('/', async (_, response) => {
    response.set('Cache-Control', 'no-store').json(await listMails(db));
  });
  router.get('/new', async (request, response) => {
    const since = numberOf(request.query['since']);
    if (since === undefined) return void response.status(400).json({ error: texts.sinceIsNumberOfMessage });
    response.set('Cache-Control', 'no-store').json(await newMail(db, since));
  });
  router.get('/:id', async (request, response) => {
    const mail = await openMail(db, Number(request.params.id));
    if (!mail) return void response.status(404).json({ error: texts.thereIsNoSuchMessage });
    response.set('Cache-Control', 'no-store').json(mail);
  });
  router.post('/', async (request, response) => {
    const wish = mailsToSendSchema.safeParse(request.body);
    if (!wish.success) return void response.status(400).json({ error: describeIssue(wish.error) });
    if (!(await findStandInHead(db, 'mail')))
      return void response.status(409).json({ error: texts.mailClientIsNotInUse });
    try {
      response.status(202).json({ waiting: await sendMails(db, wish.data.messages, Date.now()) });
    } catch (error) {
      if (!(error instanceof MailFault)) throw error;
      response.status(400).json({ error: error.message });
    }
  });
  return router;
}
