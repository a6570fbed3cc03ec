import express, { type NextFunction, type Request, type Response, Router } from 'express';
import { z } from 'zod';

import { shownAs } from '@/core/card';
import { type DirectoryEntry, directoryEntrySchema, maySee, roleSchema, writeLdif } from '@/core/directory';
import { getFormat } from '@/core/formats';
import { userOf } from '@/hub/access';
import {
  addUser,
  changePassphrase,
  changeRole,
  DirectoryError,
  endSession,
  entriesFor,
  findEntry,
  listUsers,
  putEntries,
  readDirectoryCsv,
  readDirectoryLog,
  removeEntry,
  removeUser,
  searchEntries,
  signInUser,
} from '@/hub/directory';
import type { HubDb } from '@/hub/store';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/hub/api';

import { describeIssue } from './describeIssue';

/** What the interface needs beside the store. */
export interface DirectoryApiOptions {
  /** UTCDateTime. */
  readonly utcNow: () => string;
  readonly newUid: () => string;
}

const credentials = z.object({ name: z.string().max(200), passphrase: z.string().max(1000) });
const wholeUser = credentials.extend({ role: roleSchema });
const userChange = z.object({ role: roleSchema.optional(), passphrase: z.string().max(1000).optional() });
const csvWish = z.object({ csv: z.string().max(5_000_000), isInside: z.boolean(), isToApply: z.boolean() });

/** The most entries in one answer. */
const MAX_FOUND = 100;
/** Where exported entries are placed in the tree. */
const BASE = 'ou=directory';

/** The common directory: signing in, looking up, editing, access. Who may do what is said where routes are. */
export function directoryApi(db: HubDb, { utcNow, newUid }: DirectoryApiOptions): Router {
  const router = Router();
  router.use(express.json({ limit: '6mb' }));
  const by = (request: Request) => ({ name: userOf(request).name, now: utcNow() });
  const today = () => utcNow().slice(0, 10);

  router.get('/state', async (_, response) => {
    response.set('Cache-Control', 'no-store').json({ hasUsers: (await listUsers(db)).length > 0 });
  });
  // The first administrator must use a browser that is paired with the book.
  router.post('/first', async (request, response) => {
    if ((await listUsers(db)).length > 0) throw new DirectoryError(texts.somebodyHasAccessAlready, 409);
    const { name, passphrase } = parsed(credentials, request.body);
    await addUser(db, { name, passphrase, role: 'administrator' }, { name, now: utcNow() });
    response.status(204).end();
  });
  router.post('/session', async (request, response) => {
    const { name, passphrase } = parsed(credentials, request.body);
    const session = await signInUser(db, { name, passphrase, from: request.ip ?? '' }, Date.parse(utcNow()));
    if (!session) return void response.status(401).json({ error: texts.nameOrPassphraseIsnt });
    response.set('Cache-Control', 'no-store').json(session);
  });

  router.get('/session', (request, response) => {
    const { name, role } = userOf(request);
    response.set('Cache-Control', 'no-store').json({ name, role });
  });
  router.delete('/session', async (request, response) => {
    await endSession(db, userOf(request).token);
    response.status(204).end();
  });

  router.get('/entries', async (request, response) => {
    const { q = '' } = request.query;
    const { role } = userOf(request);
    const found =
      typeof q === 'string' && q.trim() !== ''
        ? await searchEntries(db, q.slice(0, 200), { role, today: today(), limit: MAX_FOUND })
        : (await entriesFor(db, role, today())).slice(0, MAX_FOUND);
    response.set('Cache-Control', 'no-store').json(found);
  });
  router.get('/entries/:uid', async (request, response) => {
    const { role } = userOf(request);
    const entry = await findEntry(db, String(request.params['uid']));
    if (!entry || !maySee(role, entry, today())) throw new DirectoryError(texts.nobodyOfThatUid, 404);
    response.set('Cache-Control', 'no-store').json(entry);
  });
  router.put('/entries/:uid', async (request, response) => {
    const entry = parsed(directoryEntrySchema, request.body);
    if (entry.card.uid !== request.params['uid']) throw new DirectoryError(shared.cardHasAnotherUid, 400);
    if (shownAs(entry.card) === '') throw new DirectoryError(texts.entryNeedsName, 400);
    await putEntries(db, [entry], by(request));
    response.status(204).end();
  });
  router.delete('/entries/:uid', async (request, response) => {
    const isGone = await removeEntry(db, String(request.params['uid']), by(request));
    if (!isGone) throw new DirectoryError(texts.nobodyOfThatUid, 404);
    response.status(204).end();
  });
  router.post('/import', async (request, response) => {
    const { csv, isInside, isToApply } = parsed(csvWish, request.body);
    const known = await entriesFor(db, 'administrator', today());
    const intake = readDirectoryCsv(new TextEncoder().encode(csv), known, { isInside, newUid });
    if (isToApply) await putEntries(db, [...intake.fresh, ...intake.changed], by(request));
    const names = (entries: readonly DirectoryEntry[]) => entries.map(({ card }) => shownAs(card));
    response.json({ ...intake, fresh: names(intake.fresh), changed: names(intake.changed) });
  });
  router.get('/export/:kind', async (request, response) => {
    const cards = (await entriesFor(db, userOf(request).role, today())).map(({ card }) => card);
    if (request.params['kind'] === 'ldif')
      return void response.type('text/ldif; charset=utf-8').send(writeLdif(cards, BASE));
    const text = getFormat('vcard4')?.write(cards, { extensions: false });
    if (request.params['kind'] !== 'vcard' || text === undefined)
      throw new DirectoryError(texts.thereIsNoSuchFile, 404);
    response.type('text/vcard; charset=utf-8').send(text);
  });
  router.get('/log', async (_, response) => {
    response.set('Cache-Control', 'no-store').json(await readDirectoryLog(db));
  });

  router.get('/users', async (_, response) => {
    response.set('Cache-Control', 'no-store').json(await listUsers(db));
  });
  router.post('/users', async (request, response) => {
    await addUser(db, parsed(wholeUser, request.body), by(request));
    response.status(204).end();
  });
  router.patch('/users/:name', async (request, response) => {
    const name = String(request.params['name']);
    const { role, passphrase } = parsed(userChange, request.body);
    if (role !== undefined) await changeRole(db, name, role, by(request));
    if (passphrase !== undefined) await changePassphrase(db, name, passphrase, by(request));
    response.status(204).end();
  });
  router.delete('/users/:name', async (request, response) => {
    await removeUser(db, String(request.params['name']), by(request));
    response.status(204).end();
  });
  router.use((error: unknown, _: Request, response: Response, next: NextFunction) => {
    if (!(error instanceof DirectoryError)) return next(error);
    response.status(error.status).json({ error: error.message });
  });
  return router;
}

/** @throws DirectoryError with what is wrong where */
function parsed<T>(schema: z.ZodType<T>, value: unknown): T {
  const read = schema.safeParse(value);
  if (!read.success) throw new DirectoryError(describeIssue(read.error), 400);
  return read.data;
}
