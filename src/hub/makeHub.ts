import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import staticGzip from 'express-static-gzip';
import helmet from 'helmet';

import { gate } from '@/hub/access';
import {
  answerFault,
  calendarApi,
  calendarFeed,
  demoApi,
  demoLookup,
  demoWeb,
  devicesApi,
  directoryApi,
  exchangeApi,
  feedsApi,
  healthApi,
  mailboxApi,
  type Metrics,
  numberRequests,
  pairApi,
  placesApi,
  standInsApi,
} from '@/hub/api';
import { COUNTRY, type HubLog, NO_LOG, utcNow } from '@/hub/base';
import { davRouter, wellKnown } from '@/hub/dav';
import type { HubDb } from '@/hub/store';

/** Options of the hub. */
export interface HubOptions {
  /** Folder of the built application. */
  readonly webRoot: string;
  /** The day the demo is made for, 2026-11-24; without it the hub serves the user's own book. */
  readonly demoDay?: string;
  /** Names under which other machines reach it over TLS. */
  readonly names?: readonly string[];
  /** The store; without it no device is served. */
  readonly db?: HubDb;
  readonly log?: HubLog;
  /** How many proxies stand before it, or their addresses, as Express takes it; none unless said. */
  readonly trustProxy?: number | string;
  /** What measures it. */
  readonly metrics?: Metrics;
}

/** Files whose names carry a hash of their contents may be kept for good. */
const ONE_YEAR_MS = 365 * 24 * 3600 * 1000;

/** Makes the hub's application; who listens is the caller's business. */
export function makeHub(options: HubOptions): Express {
  const { webRoot, demoDay, db, names = [], log = NO_LOG, trustProxy, metrics } = options;
  const hub = express();
  hub.disable('x-powered-by');
  if (trustProxy !== undefined) hub.set('trust proxy', trustProxy);
  hub.use(numberRequests(log, undefined, metrics));
  // Whoever listens for changes hears of its end.
  hub.setMaxListeners(0);
  hub.use(securityHeaders(), keepToTls());
  hub.use(compression());
  // Other names than the hub's own, which only a demo answers.
  if (demoDay !== undefined) hub.use(demoWeb(demoDay));
  hub.set('own names', names);
  hub.use(gate({ db, isDemo: demoDay !== undefined, utcNow }));
  hub.use('/api/health', healthApi(db));
  if (demoDay !== undefined) hub.use('/api/demo', demoApi(demoDay));
  if (db) {
    hub.use('/api/calendar', calendarApi(db));
    hub.use('/calendar', calendarFeed(db));
    hub.all('/.well-known/carddav', wellKnown);
    hub.use('/dav', davRouter({ db, country: COUNTRY, utcNow }));
    hub.use('/api/pair', pairApi(db, demoDay !== undefined));
    hub.use('/api/exchange', exchangeApi(db, COUNTRY));
    hub.use('/api/devices', devicesApi(db, COUNTRY));
    hub.use('/api/standins', standInsApi(db));
    hub.use('/api/mailbox', mailboxApi(db));
    hub.use('/api/directory', directoryApi(db, { utcNow, newUid: () => `urn:uuid:${randomUUID()}` }));
  }
  hub.use('/api/places', placesApi());
  hub.use('/api/feeds', feedsApi(demoDay === undefined ? undefined : demoLookup));
  // A worker has the policy that its own file comes with; pages run no WebAssembly.
  hub.use(
    `/${READER}`,
    helmet.contentSecurityPolicy({ directives: { ...POLICY, scriptSrc: READER_SCRIPTS } }),
  );
  for (const folder of ['_expo', 'assets', READER]) hub.use(`/${folder}`, hashedFiles(join(webRoot, folder)));
  hub.use(express.static(webRoot, { index: false }));
  const page = readPage(webRoot, demoDay !== undefined);
  // Every other address is a page of the application, which routes it itself.
  hub.get(
    '/{*place}',
    (_, response) => void response.type('html').set('Cache-Control', 'no-cache').send(page),
  );
  hub.use(answerFault(log));
  return hub;
}

/** Files that never change under their name; where the build has put a Brotli version beside one, that is sent. */
function hashedFiles(folder: string) {
  return staticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br'],
    index: false,
    serveStatic: { immutable: true, maxAge: ONE_YEAR_MS, fallthrough: false },
  });
}

/** The page, with the name of its book. */
function readPage(webRoot: string, isDemo: boolean): string {
  const page = readFileSync(join(webRoot, 'index.html'), 'utf8');
  return page.replace(
    '</head>',
    `<meta name="cordialis-book" content="${isDemo ? 'demo' : 'own'}" /></head>`,
  );
}

/** Half a year, in seconds. */
const TLS_FOR_S = 180 * 24 * 3600;

/** Whoever has come over TLS keeps to it (RFC 6797), under this name only. */
function keepToTls(): RequestHandler {
  const strict = helmet.strictTransportSecurity({ maxAge: TLS_FOR_S, includeSubDomains: false });
  return (request, response, next) => (request.secure ? strict(request, response, next) : next());
}

/** Where the build lays the files of the reader of pictures; their version is in their names. */
const READER = 'reader';
const READER_SCRIPTS = ["'self'", "'wasm-unsafe-eval'"];

const POLICY = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'"],
  // React Native's web layer writes its rules into a style element of the page.
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  fontSrc: ["'self'"],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  // The page makes its manifest itself, with the pinned people in it.
  manifestSrc: ["'self'", 'blob:'],
  objectSrc: ["'none'"],
  frameAncestors: ["'none'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
  // On loopback there is no TLS to upgrade to.
  upgradeInsecureRequests: null,
};

function securityHeaders() {
  return helmet({
    contentSecurityPolicy: { directives: POLICY },
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
}
