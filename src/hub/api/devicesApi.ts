import express, { type Request, Router } from 'express';
import { z } from 'zod';

import { passportSchema } from '@/core/sync';
import { browserOf } from '@/hub/access';
import { utcNow } from '@/hub/base';
import { findSession } from '@/hub/directory';
import { setEvery } from '@/hub/standins';
import type { HubDb } from '@/hub/store';
import {
  addDevice,
  changePassport,
  findDevice,
  markSources,
  pauseDevice,
  previewSync,
  removeDevice,
  undoSync,
} from '@/hub/sync';
import { texts } from '@/texts/hub/api';

import { accountsApi } from './accountsApi';
import { describeIssue } from './describeIssue';
import { devicesStatus } from './devicesStatus';
import { settleApi } from './settleApi';

/** Log lines per answer. */
const LOG_LINES = 100;

const changeSchema = passportSchema
  .omit({ name: true })
  .partial()
  .extend({
    isPaused: z.boolean().optional(),
    everyMinutes: z.number().int().min(1).max(10_080).optional(),
  });

/** Devices, their passports, their syncs, and values to settle; for paired browsers. */
export function devicesApi(db: HubDb, country: string): Router {
  const router = Router();
  router.use(express.json({ limit: '1mb' }));
  router.use('/settle', settleApi(db));
  router.use('/accounts', accountsApi(db, country));
  router.get('/', async (request, response) => {
    response.set('Cache-Control', 'no-store').json(await devicesStatus(db, browserOf(request)));
  });
  router.post('/', async (request, response) => {
    const wish = passportSchema.safeParse(request.body);
    if (!wish.success) return void response.status(400).json({ error: describeIssue(wish.error) });
    try {
      const { tag, ...rest } = withoutGaps(await withDirectory(db, wish.data));
      const passport = tag === undefined || tag === '' ? rest : { ...rest, tag };
      response.status(201).json({ url: davAddress(request), ...(await addDevice(db, passport, utcNow())) });
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      response.status(409).json({ error: error.message });
    }
  });
  router.patch('/:name', async (request, response) => {
    const wish = changeSchema.safeParse(request.body);
    if (!wish.success) return void response.status(400).json({ error: describeIssue(wish.error) });
    const { name } = request.params;
    const device = await findDevice(db, name);
    if (!device) return void response.status(404).json({ error: texts.thereIsNoDevice(name) });
    const { isPaused, everyMinutes, ...rest } = wish.data;
    try {
      const passport = withoutGaps(await withDirectory(db, rest));
      if (isPaused !== undefined) await pauseDevice(db, name, isPaused);
      if (everyMinutes !== undefined) await setEvery(db, device, everyMinutes);
      if (passport.own === true && device.own === 0) await markSources(db, device, utcNow());
      if (Object.keys(passport).length > 0) await changePassport(db, name, passport);
      response.status(204).end();
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      response.status(409).json({ error: error.message });
    }
  });
  router.get('/:name/ahead', async (request, response) => {
    const device = await findDevice(db, request.params.name);
    if (!device) return void response.status(404).json({ error: texts.thereIsNoSuchDevice });
    response.set('Cache-Control', 'no-store').json(await previewSync(db, device));
  });
  router.delete('/:name', async (request, response) => {
    await removeDevice(db, request.params.name);
    response.status(204).end();
  });
  router.post('/syncs/:id/undo', async (request, response) => {
    const undone = await undoSync(
      { db, country, now: utcNow(), browser: browserOf(request).id },
      Number(request.params.id),
    );
    if (!undone) return void response.status(404).json({ error: texts.thereIsNoSuchSync });
    response.json(undone);
  });
  router.get('/log', async (request, response) => {
    const { device, uid, before } = request.query;
    response
      .set('Cache-Control', 'no-store')
      .json(await readLog(db, { device, uid, before: Number(before) }));
  });
  return router;
}

/** A passport request as the store keeps it: the directory is served with the access of whoever is signed in to it. @throws RangeError where nobody is */
async function withDirectory<
  T extends { directory?: boolean | undefined; directoryToken?: string | undefined },
>(
  db: HubDb,
  { directory, directoryToken, ...rest }: T,
): Promise<Omit<T, 'directory' | 'directoryToken'> & { readonly directory?: number }> {
  if (directory === undefined) return rest;
  if (!directory) return { ...rest, directory: 0 };
  const user = await findSession(db, directoryToken ?? '', Date.now());
  if (!user)
    throw new RangeError('sign in to the common directory first: a device reads it with your access');
  return { ...rest, directory: user.id };
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

/** The log, the latest first. */
async function readLog(db: HubDb, { device, uid, before }: Wanted): Promise<object[]> {
  const rows = await db
    .selectFrom('changes')
    .leftJoin('devices', 'devices.id', 'changes.device')
    .leftJoin('browsers', 'browsers.id', 'changes.browser')
    .select(['changes.seq', 'changes.at', 'changes.uid', 'changes.says'])
    .select(['devices.name as device', 'browsers.name as browser'])
    // Changes by nobody are how the book began.
    .where(({ eb, or }) => or([eb('changes.device', 'is not', null), eb('changes.browser', 'is not', null)]))
    .$if(typeof device === 'string', (query) => query.where('devices.name', '=', String(device)))
    .$if(typeof uid === 'string', (query) => query.where('changes.uid', '=', String(uid)))
    .$if(Number.isSafeInteger(before), (query) => query.where('changes.seq', '<', before))
    .orderBy('changes.seq', 'desc')
    .limit(LOG_LINES)
    .execute();
  return rows.map(({ device: one, browser, ...line }) => ({ ...line, by: one ?? browser }));
}
