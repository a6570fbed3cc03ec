import type { NextFunction, Request, RequestHandler, Response } from 'express';

import type { HubDb } from '@/hub/store';
import { type Browser, findBrowser } from '@/hub/sync';

/** Names under which this machine reaches itself; a page elsewhere that has its name point here doesn't come in by them. */
const OWN_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * Lets only the application itself in: a page of another origin is refused, and so is a name that was made to point here
 * (DNS rebinding). Nothing is ever let in by a cookie, so that no other page can act in somebody's name.
 */
export function onlyOwnPages(request: Request, response: Response, next: NextFunction): void {
  const host = request.get('host') ?? '';
  const origin = request.get('origin');
  const name = host.replace(/:\d+$/, '');
  const others: unknown = request.app.get('own names');
  const isOwn = OWN_NAMES.has(name) || (Array.isArray(others) && others.includes(name));
  const isSame = origin === undefined || origin === `${request.protocol}://${host}`;
  if (isOwn && isSame) return next();
  response.status(403).json({ error: 'only the application itself is answered here' });
}

const browsers = new WeakMap<Request, Browser>();

/** Lets only paired browsers in. */
export function onlyPaired(db: HubDb): RequestHandler {
  return async (request, response, next) => {
    const [, token = ''] = /^Bearer ([\w-]{20,100})$/.exec(request.get('authorization') ?? '') ?? [];
    const browser = token === '' ? undefined : await findBrowser(db, token);
    if (!browser) return void response.status(401).json({ error: 'this browser is not paired with the hub' });
    browsers.set(request, browser);
    next();
  };
}

/** The browser that a request comes from, behind onlyPaired. */
export function browserOf(request: Request): Browser {
  const browser = browsers.get(request);
  if (!browser) throw new Error('nobody has looked who asks');
  return browser;
}
