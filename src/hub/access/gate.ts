import { type Request, type RequestHandler, type Response, Router } from 'express';

import { DIRECTORY_ACTS } from '@/core/directory';
import { onlyDevices } from '@/hub/dav';
import type { HubDb } from '@/hub/store';
import { texts } from '@/texts/hub/api';

import { onlyOwnPages, onlyPaired, onlySignedIn } from './callers';
import { type Caller, type GuardedRoute, routesOf } from './routes';

/** What the gate needs. */
export interface GateOptions {
  /** The store; without it nobody is known, and nobody let in who would have to be. */
  readonly db?: HubDb | undefined;
  readonly isDemo: boolean;
  /** UTCDateTime. */
  readonly utcNow: () => string;
}

const routes = new WeakMap<Request, GuardedRoute>();

/** The route that a request is for, as the table has it, whether it was let in or not; undefined where there is none. */
export function routeOf(request: Request): GuardedRoute | undefined {
  return routes.get(request);
}

/** Lets each request in to its route or refuses it, before anything of its body is read. What has no route is refused. */
export function gate(options: GateOptions): Router {
  const router = Router();
  const guards = guardsFor(options);
  for (const route of routesOf(options)) {
    const mark: RequestHandler = (request, _, next) => {
      routes.set(request, route);
      next();
    };
    const verb = route.method === 'ALL' ? 'all' : (route.method.toLowerCase() as 'get');
    router[verb](route.path, mark, ...(guards.get(route.who) ?? [nothingHere]), leave);
  }
  router.use(nothingHere);
  return router;
}

/** Out of the gate, to the router that answers. */
const leave: RequestHandler = (_, __, next) => next('router');

/** The checks by caller; for one without checks nothing is here. */
function guardsFor({ db, utcNow }: GateOptions): ReadonlyMap<Caller, readonly RequestHandler[]> {
  const open: [Caller, RequestHandler[]][] = [
    ['anybody', []],
    ['page', [onlyOwnPages]],
  ];
  if (!db) return new Map(open);
  return new Map([
    ...open,
    ['browser', [onlyOwnPages, onlyPaired(db, utcNow)]],
    ['device', [onlyDevices(db)]],
    ['directory', [onlyOwnPages, onlySignedIn(db, utcNow)]],
    ...DIRECTORY_ACTS.map((act): [Caller, RequestHandler[]] => [
      `directory ${act}`,
      [onlyOwnPages, onlySignedIn(db, utcNow, act)],
    ]),
  ]);
}

function nothingHere(_: Request, response: Response): void {
  response.status(404).json({ error: texts.thereIsNothingHere });
}
