import express, { type RequestHandler, type Response, Router } from 'express';
import { z } from 'zod';

import { pushSchema, recordsPushSchema } from '@/core/sync';
import { browserOf } from '@/hub/access';
import { utcNow } from '@/hub/base';
import {
  epochOf,
  firstEpoch,
  type HubDb,
  ifPossible,
  inTransaction,
  letDevicesIn,
  onChange,
  sharedWith,
} from '@/hub/store';
import { answerPull, answerRecordsPull, applyPush, applyRecordsPush, knownAt, setMembers } from '@/hub/sync';
import { texts } from '@/texts/hub/api';

import { describeIssue } from './describeIssue';
import { numberOf } from './numberOf';

/** Some hundred cards with photos; more at once is refused, to protect the memory. */
const MAX_BODY = '60mb';
/** Interval of keep-alive lines, in milliseconds. */
const HEARTBEAT_MS = 25_000;
/** Changes that follow each other this closely are announced as one, in milliseconds. */
const GATHER_MS = 60;

const uidsSchema = z.array(z.string()).max(200_000);

/** The exchange of cards with paired browsers. @param country - ISO 3166-1 alpha-2 */
export function exchangeApi(db: HubDb, country: string): Router {
  const router = Router();
  for (const path of ['/push', '/pull', '/records']) router.use(path, onlyThisEpoch(db));
  router.use(express.json({ limit: MAX_BODY }));
  router.get('/epoch', (request, response) => {
    const { epoch } = request.query;
    response.set('Cache-Control', 'no-store').json({
      epoch: epochOf(db),
      shared: sharedWith(db, typeof epoch === 'string' ? epoch : firstEpoch(db)) ?? null,
    });
  });
  router.get('/known', async (request, response) => {
    const [cards, records] = [numberOf(request.query['cards']), numberOf(request.query['records'])];
    if (cards === undefined || records === undefined)
      return void response.status(400).json({ error: 'cards and records are numbers' });
    response.set('Cache-Control', 'no-store').json(await knownAt(db, { cards, records }));
  });
  router.post('/push', async (request, response) => {
    const push = pushSchema.safeParse(request.body);
    if (!push.success)
      return void response.status(400).json({ error: push.error.issues[0]?.message ?? 'no push' });
    const context = { db, browser: browserOf(request), now: utcNow(), country };
    response.json({ refused: await applyPush(context, push.data) });
  });
  router.get('/pull', async (request, response) => {
    const since = numberOf(request.query['since']);
    if (since === undefined)
      return void response.status(400).json({ error: 'since is the number of a change' });
    const browser = browserOf(request);
    // It has pushed what it knew: nothing is told to devices as gone that it has.
    await letDevicesIn(db);
    const now = utcNow();
    if (browser.seen?.slice(0, 16) !== now.slice(0, 16))
      await ifPossible(
        inTransaction(db, (store) =>
          store.updateTable('browsers').set({ seen: now }).where('id', '=', browser.id).execute(),
        ),
      );
    response.set('Cache-Control', 'no-store').json(await answerPull(db, browser, since));
  });
  router.post('/records', async (request, response) => {
    const push = recordsPushSchema.safeParse(request.body);
    if (!push.success) return void response.status(400).json({ error: describeIssue(push.error) });
    response.json({ refused: await applyRecordsPush(db, browserOf(request), push.data) });
  });
  router.get('/records', async (request, response) => {
    const since = numberOf(request.query['since']);
    if (since === undefined)
      return void response.status(400).json({ error: 'since is the number of a record' });
    response.set('Cache-Control', 'no-store').json(await answerRecordsPull(db, browserOf(request), since));
  });
  router.put('/members/:list', async (request, response) => {
    const uids = uidsSchema.safeParse(request.body);
    if (!uids.success) return void response.status(400).json({ error: 'a list of uids is needed' });
    const source = { at: utcNow(), device: null, browser: browserOf(request).id };
    await setMembers(db, { list: request.params.list, uids: uids.data }, source);
    response.status(204).end();
  });
  router.get('/events', (request, response) => {
    const { app } = request;
    // A hub that ends sends its listeners to the others, or to come back.
    const leave = () => void response.end();
    app.once('ending', leave);
    tellChanges(db, response, (end) =>
      request.on('close', () => {
        app.off('ending', leave);
        end();
      }),
    );
  });
  return router;
}

/** Numbers of another epoch mean something else here: whoever comes with them asks for its own first. */
function onlyThisEpoch(db: HubDb): RequestHandler {
  return (request, response, next) => {
    const { epoch = firstEpoch(db) } = request.query;
    if (epoch === epochOf(db)) return next();
    response.status(412).json({ error: texts.hubHasBeenRestored });
  };
}

/** Announces changes as server-sent events (WHATWG HTML §9.2) until the connection closes. */
function tellChanges(db: HubDb, response: Response, onEnd: (end: () => void) => void): void {
  response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' });
  response.flushHeaders();
  response.write(': here\n\n');
  let gathered: ReturnType<typeof setTimeout> | undefined;
  const stop = onChange(db, (seq) => {
    clearTimeout(gathered);
    gathered = setTimeout(() => response.write(`event: change\ndata: ${seq}\n\n`), GATHER_MS);
  });
  const heartbeat = setInterval(() => response.write(': still here\n\n'), HEARTBEAT_MS);
  onEnd(() => {
    stop();
    clearTimeout(gathered);
    clearInterval(heartbeat);
  });
}
