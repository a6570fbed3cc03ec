import express, { type Request, Router } from 'express';
import { z } from 'zod';

import { passportSchema } from '@/core/exchange';

import { devicesNow } from '../passports/devicesNow';
import { lookAhead } from '../passports/lookAhead';
import { addDevice, changePassport, listDevices, pauseDevice, removeDevice } from '../passports/passports';
import type { HubDb } from '../store/openStore';
import { utcNow } from '../utcNow';
import { accountsApi } from './accountsApi';
import { browserOf, onlyOwnPages, onlyPaired } from './guards';
import { issueInWords } from './issueInWords';
import { settleApi } from './settleApi';

/** Lines of the log in one answer. */
const LOG_LINES = 100;

const changeSchema = passportSchema
  .omit({ name: true })
  .partial()
  .extend({ isPaused: z.boolean().optional() });

/** Devices and their passports, what came and went, and what is to settle; for paired browsers. */
export function devicesApi(db: HubDb, country: string): Router {
  const router = Router();
  router.use(onlyOwnPages, onlyPaired(db), express.json({ limit: '1mb' }));
  router.use('/settle', settleApi(db));
  router.use('/accounts', accountsApi(db, country));
  router.get('/', async (request, response) => {
    response.set('Cache-Control', 'no-store').json(await devicesNow(db, browserOf(request)));
  });
  router.post('/', async (request, response) => {
    const wish = passportSchema.safeParse(request.body);
    if (!wish.success) return void response.status(400).json({ error: issueInWords(wish.error) });
    try {
      const { tag, ...rest } = withoutGaps(wish.data);
      const passport = tag === undefined || tag === '' ? rest : { ...rest, tag };
      response.status(201).json({ url: davAddress(request), ...(await addDevice(db, passport, utcNow())) });
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      response.status(409).json({ error: error.message });
    }
  });
  router.patch('/:name', async (request, response) => {
    const wish = changeSchema.safeParse(request.body);
    if (!wish.success) return void response.status(400).json({ error: issueInWords(wish.error) });
    const { name } = request.params;
    const { isPaused, ...passport } = wish.data;
    const isKnown = isPaused === undefined || (await pauseDevice(db, name, isPaused));
    const hasPassport = Object.values(passport).some((value) => value !== undefined);
    if (isKnown && (!hasPassport || (await changePassport(db, name, withoutGaps(passport)))))
      return void response.status(204).end();
    response.status(404).json({ error: `there is no device called ${name}` });
  });
  router.get('/:name/ahead', async (request, response) => {
    const device = (await listDevices(db)).find(({ name }) => name === request.params.name);
    if (!device) return void response.status(404).json({ error: 'there is no such device' });
    response.set('Cache-Control', 'no-store').json(await lookAhead(db, device));
  });
  router.delete('/:name', async (request, response) => {
    await removeDevice(db, request.params.name);
    response.status(204).end();
  });
  router.get('/log', async (request, response) => {
    const { device, uid, before } = request.query;
    response
      .set('Cache-Control', 'no-store')
      .json(await readLog(db, { device, uid, before: Number(before) }));
  });
  return router;
}

function davAddress(request: Request): string {
  return `${request.protocol}://${request.get('host') ?? ''}/dav/`;
}

function withoutGaps<T extends object>(some: T): { [K in keyof T]: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(some).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]: Exclude<T[K], undefined>;
  };
}

interface Wanted {
  readonly device: unknown;
  readonly uid: unknown;
  readonly before: number;
}

/** What happened, the latest first. */
async function readLog(db: HubDb, { device, uid, before }: Wanted): Promise<object[]> {
  const rows = await db
    .selectFrom('changes')
    .leftJoin('devices', 'devices.id', 'changes.device')
    .leftJoin('browsers', 'browsers.id', 'changes.browser')
    .select(['changes.seq', 'changes.at', 'changes.uid', 'changes.says'])
    .select(['devices.name as device', 'browsers.name as browser'])
    // What nobody did is how the book began.
    .where(({ eb, or }) => or([eb('changes.device', 'is not', null), eb('changes.browser', 'is not', null)]))
    .$if(typeof device === 'string', (query) => query.where('devices.name', '=', String(device)))
    .$if(typeof uid === 'string', (query) => query.where('changes.uid', '=', String(uid)))
    .$if(Number.isSafeInteger(before), (query) => query.where('changes.seq', '<', before))
    .orderBy('changes.seq', 'desc')
    .limit(LOG_LINES)
    .execute();
  return rows.map(({ device: one, browser, ...line }) => ({ ...line, by: one ?? browser }));
}
