import { pipeline } from 'node:stream/promises';

import express, {
  type NextFunction,
  type Request,
  type RequestHandler,
  type Response,
  Router,
} from 'express';

import { doDevicesWait, type HubDb, ifPossible, inTransaction, StoreFault } from '@/hub/store';
import {
  aliasOf,
  cardAt,
  cardOf,
  type Device,
  noteVisit,
  rememberServed,
  syncNow,
  textsFor,
} from '@/hub/sync';
import { texts } from '@/texts/sync/dav';

import { versionFor } from './accept';
import { checkConditions, isNamed } from './conditions';
import { DavError, privilegeFor } from './davError';
import { type DavAnswer, type DavRequest, isOfDirectory, type Resource, resourceAt } from './davRequest';
import { deleteCardResource } from './deleteCardResource';
import { checkIf } from './ifHeader';
import { dav, MAX_BODY_OCTETS, ROOT } from './names';
import { pathTo } from './properties';
import { propfind } from './propfind';
import { proppatch } from './proppatch';
import { putCardResource } from './putCardResource';
import { report } from './report';
import { viewFor } from './viewFor';
import { Doorkeeper } from './whoIs';

/** What the router needs. */
export interface DavOptions {
  readonly db: HubDb;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country: string;
  readonly utcNow: () => string;
}

const METHODS = 'OPTIONS, GET, HEAD, PROPFIND, PROPPATCH, REPORT, PUT, DELETE';
/** RFC 4918 §10.1, RFC 3744 §7.2, RFC 6352 §6.1. */
const COMPLIANCE = '1, 3, access-control, addressbook, sync-collection';
const KNOWN = new Set(['MKCOL', 'COPY', 'MOVE', 'LOCK', 'UNLOCK', 'POST', 'PATCH', 'ACL']);

const asking = new WeakMap<Request, Device>();

/** Allows only devices that have a passport, and says in CardDAV's way why another isn't. */
export function onlyDevices(db: HubDb): RequestHandler {
  const door = new Doorkeeper(db);
  return orFault(async (request, _, next) => {
    const device = await door.whoIs(request);
    if (device.paused === 1) throw new DavError(403, 'this device’s passport is paused');
    if (await doDevicesWait(db)) throw new DavError(503, texts.devicesWait);
    asking.set(request, device);
    next();
  });
}

/** CardDAV (RFC 6352) for devices that have been let in. */
export function davRouter(options: DavOptions): Router {
  const router = Router();
  // What it is about is settled before a body is read.
  router.use(
    orFault((request, response, next) => {
      if (request.method === 'OPTIONS')
        return send(response, 'OPTIONS', { status: 200, headers: { DAV: COMPLIANCE, Allow: METHODS } });
      resourceOf(request);
      next();
    }),
  );
  router.use(express.text({ type: () => true, limit: MAX_BODY_OCTETS, defaultCharset: 'utf-8' }));
  router.use(
    orFault(async (request, response) => {
      await send(response, request.method, await answer(request, options));
    }),
  );
  return router;
}

function orFault(
  work: (request: Request, response: Response, next: NextFunction) => Promise<void> | void,
): RequestHandler {
  return async (request, response, next) => {
    try {
      await work(request, response, next);
    } catch (error) {
      // In the middle of an answer nothing else can be said.
      if (response.headersSent) throw error;
      if (error instanceof StoreFault) sendFault(response, new DavError(error.status, error.message));
      else if (error instanceof DavError) sendFault(response, error);
      else throw error;
    }
  };
}

function deviceOf(request: Request): Device {
  const device = asking.get(request);
  if (!device) throw new Error('nobody has looked who asks');
  return device;
}

/** What a request is about. @throws DavError where there is nothing of the device */
function resourceOf(request: Request): Resource {
  const resource = resourceIn(request.path, deviceOf(request).user);
  if (!resource) throw new DavError(404, 'there is nothing here');
  return resource;
}

/** What a path names, its escapes undone. @throws DavError 400 for one that is no path of RFC 3986, or names control characters */
function resourceIn(path: string, user: string): Resource | undefined {
  let parts: string[];
  try {
    // Part by part: a slash that is escaped belongs to a name.
    parts = path.split('/').map(decodeURIComponent);
  } catch {
    throw new DavError(400, 'that is no address');
  }
  if (parts.some((part) => /\p{Cc}/u.test(part))) throw new DavError(400, 'that is no address');
  return resourceAt(parts, user);
}

async function answer(request: Request, options: DavOptions): Promise<DavAnswer> {
  const [device, resource] = [deviceOf(request), resourceOf(request)];
  const now = options.utcNow();
  await ifPossible(noteSeen(options.db, device, now));
  const isChange = request.method === 'PUT' || request.method === 'DELETE';
  const asked: DavRequest = {
    ...{ db: options.db, device, now, country: options.country },
    ...(isChange ? { sync: await syncNow(options.db, device, now) } : {}),
    method: request.method,
    header: (name) => request.get(name),
    body: typeof request.body === 'string' ? request.body : '',
  };
  try {
    const answered = await dispatch(asked, resource);
    // A change has noted by itself that the visit goes on.
    if (isChange) return answered;
    const { body = '', served = 0 } = answered;
    // What is remembered with the first piece is written together with it.
    const [begunBody] = await Promise.all([
      typeof body === 'string' ? body : begun(body),
      ifPossible(noteVisit(options.db, device, now, { went: served })),
    ]);
    return { ...answered, body: begunBody };
  } catch (error) {
    // A resource that isn't there is no fault of a sync.
    if (error instanceof DavError && ![404, 412].includes(error.status))
      await ifPossible(noteVisit(options.db, device, now, { went: 0, fault: error.message }));
    throw error;
  }
}

/** When a device was last seen, to the minute: a sync of many requests needn't write it each time. */
async function noteSeen(db: HubDb, { id, seen }: Device, now: string): Promise<void> {
  if (seen?.slice(0, 16) === now.slice(0, 16)) return;
  await inTransaction(db, (store) =>
    store.updateTable('devices').set({ seen: now }).where('id', '=', id).execute(),
  );
}

async function dispatch(request: DavRequest, resource: Resource): Promise<DavAnswer> {
  switch (request.method) {
    case 'PROPFIND':
      return propfind(request, resource);
    case 'REPORT':
      return report(request, resource);
    case 'GET':
    case 'HEAD':
      return getResource(request, resource);
    case 'PROPPATCH':
      await checkIfHeader(request, resource);
      return proppatch(request, resource);
    case 'PUT':
      if (resource.kind !== 'card') throw new DavError(405, 'cards are put, and nothing else');
      onlyOwnBook(request, resource);
      await checkIfHeader(request, resource);
      return putCardResource(request, resource.href);
    case 'DELETE':
      if (resource.kind !== 'card') throw new DavError(403, 'a collection is not deleted from here');
      onlyOwnBook(request, resource);
      await checkIfHeader(request, resource);
      return deleteCardResource(request, resource.href);
    default:
      throw KNOWN.has(request.method)
        ? new DavError(405, `${request.method} is not done here`)
        : new DavError(501, 'that method is not known');
  }
}

/** Devices can only read the common directory. */
function onlyOwnBook({ device, method }: DavRequest, resource: Resource): void {
  if (!isOfDirectory(resource)) return;
  const [message, path] = ['the directory is only read here', pathTo(device.user, resource)];
  throw new DavError(403, message, dav('need-privileges'), path, privilegeFor(method));
}

/** The If header (RFC 4918 §10.4), of this resource, its collection or another one of the device. */
async function checkIfHeader(request: DavRequest, resource: Resource): Promise<void> {
  const { user } = request.device;
  await checkIf(request.header('if'), pathTo(user, resource), async (path) => {
    const named = resourceIn(path.startsWith(ROOT) ? path.slice(ROOT.length - 1) : path, user);
    if (!named) return undefined;
    const view = await viewFor(request, named);
    const seen = named.kind === 'card' ? await cardAt(view, named.href) : undefined;
    const token = named.kind === 'book' ? view.token : undefined;
    return { etag: seen?.etag, token };
  });
}

async function getResource(request: DavRequest, resource: Resource): Promise<DavAnswer> {
  if (resource.kind !== 'card')
    return {
      status: 200,
      headers: { 'Content-Type': 'text/plain; charset=utf-8' },
      body: 'This is for CardDAV clients.\n',
    };
  const view = await viewFor(request, resource);
  const known = await cardAt(view, resource.href);
  const alias = known || isOfDirectory(resource) ? undefined : await aliasOf(request, resource.href);
  const seen = known ?? (alias === undefined ? undefined : await cardOf(view, alias));
  if (!seen) throw new DavError(404, 'there is no such card');
  const none = request.header('if-none-match');
  if (none !== undefined && isNamed(none, seen.etag, 'weak'))
    return { status: 304, headers: { ETag: seen.etag, Vary: 'Accept' } };
  checkConditions({ header: (name) => (name === 'if-match' ? request.header(name) : undefined) }, seen.etag);
  const version = versionFor(request.header('accept'));
  if (request.method === 'GET' && known && !isOfDirectory(resource)) await rememberServed(request, [seen]);
  const [body = ''] = await textsFor(request, [seen], version);
  return {
    status: 200,
    headers: {
      'Content-Type': `text/vcard; charset=utf-8; version=${version}`,
      ETag: seen.etag,
      Vary: 'Accept',
    },
    body,
    served: request.method === 'GET' ? 1 : 0,
  };
}

async function send(
  response: Response,
  method: string,
  { status, headers = {}, body = '' }: DavAnswer,
): Promise<void> {
  response.status(status).set({ DAV: COMPLIANCE, 'Cache-Control': 'no-store', ...headers });
  if (typeof body !== 'string') return pipeline(body, response);
  if (method === 'HEAD') response.set('Content-Length', String(Buffer.byteLength(body))).end();
  else response.end(body);
}

/** Pieces of which the first is made already: where that fails another answer can still be given. */
async function begun(pieces: AsyncIterable<string>): Promise<AsyncIterable<string>> {
  const rest = pieces[Symbol.asyncIterator]();
  const first = await rest.next();
  return (async function* () {
    if (first.done !== true) yield first.value;
    for (let next = await rest.next(); next.done !== true; next = await rest.next()) yield next.value;
  })();
}

/** When to come again (RFC 9110 §10.2.3), in seconds. */
const WAITS: Readonly<Record<number, string>> = { 429: '600', 503: '60' };

function sendFault(response: Response, error: DavError): void {
  const body = error.body();
  response.status(error.status).set('DAV', COMPLIANCE);
  if (error.status === 401) response.set('WWW-Authenticate', 'Basic realm="Cordialis", charset="UTF-8"');
  if (error.status === 405) response.set('Allow', METHODS);
  const wait = WAITS[error.status];
  if (wait !== undefined) response.set('Retry-After', wait);
  response.type(body === undefined ? 'text/plain' : 'application/xml').end(body ?? `${error.message}\n`);
}

/** Redirects clients that know only the host (RFC 6764 §5). */
export function wellKnown(_: Request, response: Response): void {
  response.redirect(301, ROOT);
}
