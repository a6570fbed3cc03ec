import { randomUUID } from 'node:crypto';

import type { ErrorRequestHandler, Request, RequestHandler } from 'express';

import { routeOf } from '@/hub/access';
import { faultOf, type HubLog } from '@/hub/base';
import { StoreFault } from '@/hub/store';
import { texts } from '@/texts/hub/api';

import type { Metrics } from './metrics';

/** Answers that take longer are worth a line, and those that haven't begun after this are given up (a request itself may take two minutes), in milliseconds. */
const [SLOW_MS, GIVE_UP_MS] = [2000, 150_000];

/**
 * Gives each request a number of its own, told in the answer, and logs those that were refused, that failed or that took long: by
 * the route as the table writes it, as an address may name somebody. One that isn't answered in time is told so.
 */
export function numberRequests(log: HubLog, giveUpMs = GIVE_UP_MS, metrics?: Metrics): RequestHandler {
  return (request, response, next) => {
    const id = randomUUID();
    response.set('X-Request-Id', id);
    const began = performance.now();
    const late = setTimeout(() => {
      if (response.headersSent) return;
      log.error({ request: id, route: routeIn(request) }, 'given up');
      response.status(503).set('Retry-After', '60').json({ error: texts.tookTooLong, request: id });
    }, giveUpMs);
    response.on('close', () => clearTimeout(late));
    response.on('finish', () => {
      const ms = Math.round(performance.now() - began);
      const { statusCode: status } = response;
      const isStream = isListening(response.get('content-type'));
      // Of one that stays open it says nothing how long it did.
      if (!isStream) metrics?.answered(routeIn(request), status, ms);
      const line = { request: id, route: routeIn(request), status, ms };
      if (status >= 500) log.error(line, 'failed');
      else if (status >= 400) log.info(line, 'refused');
      else if (ms > SLOW_MS && !isStream) log.warn(line, 'slow');
    });
    next();
  };
}

function routeIn(request: Request): string {
  const route = routeOf(request);
  return route ? `${request.method} ${route.path}` : request.method;
}

/** Whether an answer stays open, as that to whoever listens for changes does. */
function isListening(type: string | undefined): boolean {
  return type?.startsWith('text/event-stream') === true;
}

/** The one place for unexpected errors; reveals nothing about them but the number under which the log has them. */
export function answerFault(log: HubLog): ErrorRequestHandler {
  return (error: { readonly status?: number; readonly message?: string }, request, response, next) => {
    const id = response.get('X-Request-Id');
    const status = error.status ?? 500;
    if (status >= 500) log.error({ request: id, route: routeIn(request), fault: faultOf(error) }, 'fault');
    // Nothing can be said in the middle of an answer: it is cut off, so that nobody takes it for whole.
    if (response.headersSent) return next(error);
    if (status === 503) response.set('Retry-After', '5');
    const said =
      error instanceof StoreFault
        ? error.message
        : status === 404
          ? texts.thereIsNothingHere
          : texts.hubCouldNotAnswer;
    response.status(status).json({ error: said, request: id });
  };
}
