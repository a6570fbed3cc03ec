import type { NextFunction, Request, RequestHandler, Response } from 'express';

import type { HubDb } from '@/hub/store';
import { type Browser, findBrowser } from '@/hub/sync';
import { texts } from '@/texts/hub/api';

/** Names under which this machine reaches itself; requests under any other name are DNS rebinding and refused. */
const OWN_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * Allows only the application itself: other origins are refused, and so are names made to point here (DNS rebinding).
 * Nothing is authorised by a cookie, so no other page can act in somebody's name.
 */
export function onlyOwnPages(request: Request, response: Response, next: NextFunction): void {
  const host = request.get('host') ?? '';
  const origin = request.get('origin');
  const name = host.replace(/:\d+$/, '');
  const others: unknown = request.app.get('own names');
  const isOwn = OWN_NAMES.has(name) || (Array.isArray(others) && others.includes(name));
  const isSame = origin === undefined || origin === `${request.protocol}://${host}`;
  if (isOwn && isSame) return next();
  response.status(403).json({ error: texts.onlyApplicationItselfIsAnswered });
}

const browsers = new WeakMap<Request, Browser>();

/** Allows only paired browsers. */
export function onlyPaired(db: HubDb): RequestHandler {
  return async (request, response, next) => {
    const [, token = ''] = /^Bearer ([\w-]{20,100})$/.exec(request.get('authorization') ?? '') ?? [];
    const browser = token === '' ? undefined : await findBrowser(db, token);
    if (!browser) return void response.status(401).json({ error: texts.thisBrowserIsNotPaired });
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
