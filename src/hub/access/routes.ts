import type { DirectoryAct } from '@/core/directory';

/**
 * Who may call a route:
 * - anybody: whoever reaches the hub
 * - page: pages of the application, no matter whose
 * - browser: one that has been paired, by its token
 * - device: one that has a passport, by its name and password
 * - nobody: there is nothing here
 * - directory: whoever is signed in to the common directory; with an act, only roles that may do it
 *
 * What only the owner may do (the first code, backups, restoring) has no route: the hub's tool does it, on the machine itself.
 */
export type Caller =
  'anybody' | 'nobody' | 'page' | 'browser' | 'device' | 'directory' | `directory ${DirectoryAct}`;

/** A route, as Express writes it, and who may call it. */
export interface GuardedRoute {
  /** Of HTTP; HEAD goes with GET. */
  readonly method: 'ALL' | 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE' | 'OPTIONS';
  readonly path: string;
  readonly who: Caller;
}

type Row = readonly [GuardedRoute['method'], path: string, who: Caller];

const API: readonly Row[] = [
  ['GET', '/api/health', 'anybody'],
  ['GET', '/api/health/alive', 'anybody'],
  ['GET', '/api/places', 'page'],
  ['GET', '/api/feeds', 'browser'],

  // Whoever has the code is paired; the address of a calendar, which can't be guessed, is the right to read it and to end it.
  ['POST', '/api/pair', 'page'],
  ['POST', '/api/pair/code', 'browser'],
  ['DELETE', '/api/pair', 'browser'],
  ['PUT', '/api/calendar/:token', 'browser'],
  ['DELETE', '/api/calendar/:token', 'page'],
  ['GET', '/calendar/:name', 'anybody'],

  ['GET', '/api/exchange/epoch', 'browser'],
  ['GET', '/api/exchange/known', 'browser'],
  ['POST', '/api/exchange/push', 'browser'],
  ['GET', '/api/exchange/pull', 'browser'],
  ['POST', '/api/exchange/records', 'browser'],
  ['GET', '/api/exchange/records', 'browser'],
  ['PUT', '/api/exchange/members/:list', 'browser'],
  ['GET', '/api/exchange/events', 'browser'],

  ['GET', '/api/devices', 'browser'],
  ['POST', '/api/devices', 'browser'],
  ['GET', '/api/devices/log', 'browser'],
  ['PATCH', '/api/devices/:name', 'browser'],
  ['DELETE', '/api/devices/:name', 'browser'],
  ['GET', '/api/devices/:name/ahead', 'browser'],
  ['POST', '/api/devices/syncs/:id/undo', 'browser'],
  ['GET', '/api/devices/settle', 'browser'],
  ['DELETE', '/api/devices/settle/:id', 'browser'],
  ['POST', '/api/devices/accounts', 'browser'],
  ['POST', '/api/devices/accounts/:name/sync', 'browser'],

  ['POST', '/api/standins/:kind', 'browser'],
  ['GET', '/api/standins/:kind', 'browser'],
  ['POST', '/api/standins/:kind/sync', 'browser'],
  ['POST', '/api/standins/:kind/reset', 'browser'],
  ['PUT', '/api/standins/:kind/offline', 'browser'],
  ['POST', '/api/standins/:kind/cards', 'browser'],
  ['PUT', '/api/standins/:kind/cards/:uid', 'browser'],
  ['POST', '/api/standins/:kind/cards/:uid/duplicate', 'browser'],
  ['DELETE', '/api/standins/:kind/cards/:uid', 'browser'],

  ['GET', '/api/mailbox', 'browser'],
  ['POST', '/api/mailbox', 'browser'],
  ['GET', '/api/mailbox/new', 'browser'],
  ['GET', '/api/mailbox/:id', 'browser'],

  ['GET', '/api/directory/state', 'page'],
  ['POST', '/api/directory/first', 'browser'],
  ['POST', '/api/directory/session', 'page'],
  ['GET', '/api/directory/session', 'directory'],
  ['DELETE', '/api/directory/session', 'directory'],
  ['GET', '/api/directory/entries', 'directory read'],
  ['GET', '/api/directory/entries/:uid', 'directory read'],
  ['PUT', '/api/directory/entries/:uid', 'directory edit'],
  ['DELETE', '/api/directory/entries/:uid', 'directory edit'],
  ['POST', '/api/directory/import', 'directory import'],
  ['GET', '/api/directory/export/:kind', 'directory export'],
  ['GET', '/api/directory/log', 'directory readLog'],
  ['GET', '/api/directory/users', 'directory manageUsers'],
  ['POST', '/api/directory/users', 'directory manageUsers'],
  ['PATCH', '/api/directory/users/:name', 'directory manageUsers'],
  ['DELETE', '/api/directory/users/:name', 'directory manageUsers'],
];

/** Clients ask what a server can before they sign in (RFC 4918 §10.1), and where its cards are (RFC 6764 §5). */
const DAV: readonly Row[] = [
  ['ALL', '/.well-known/carddav', 'anybody'],
  ['OPTIONS', '/dav{/*path}', 'anybody'],
  ['ALL', '/dav{/*path}', 'device'],
];

/** What a demo has beside: there is nothing in it that is anybody's. */
const OF_DEMO: readonly Row[] = [
  ['GET', '/api/demo/:what', 'page'],
  ['POST', '/api/pair/demo-code', 'page'],
  ['GET', '/api/feeds', 'page'],
];

/** What has no row above is closed; all else are the application's files and pages, which hold nothing of anybody. */
const REST: readonly Row[] = [
  ['ALL', '/api{/*path}', 'nobody'],
  ['GET', '/{*place}', 'anybody'],
];

/** Every route of the hub, the first that fits applying. What isn't here is not called by anybody. */
export function routesOf({ isDemo }: { readonly isDemo: boolean }): readonly GuardedRoute[] {
  return [...(isDemo ? OF_DEMO : []), ...API, ...DAV, ...REST].map(([method, path, who]) => ({
    ...{ method, path, who },
  }));
}
