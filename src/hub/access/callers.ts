import type { NextFunction, Request, RequestHandler, Response } from 'express';

import { type DirectoryAct, mayDo } from '@/core/directory';
import { type DirectoryUser, findSession } from '@/hub/directory';
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
export function onlyPaired(db: HubDb, utcNow: () => string): RequestHandler {
  return async (request, response, next) => {
    const token = tokenOf(request, 'Bearer');
    const browser = token === '' ? undefined : await findBrowser(db, token, Date.parse(utcNow()));
    if (!browser) return void response.status(401).json({ error: texts.thisBrowserIsNotPaired });
    browsers.set(request, browser);
    next();
  };
}

/** The browser that a request comes from, where its route is for browsers. */
export function browserOf(request: Request): Browser {
  const browser = browsers.get(request);
  if (!browser) throw new Error('nobody has looked who asks');
  return browser;
}

/** Somebody who is signed in to the directory, and by which token. */
export type SignedIn = DirectoryUser & { readonly token: string };

const sessions = new WeakMap<Request, SignedIn>();

/** Allows only who is signed in to the directory, and may do an act where one is given. */
export function onlySignedIn(db: HubDb, utcNow: () => string, act?: DirectoryAct): RequestHandler {
  return async (request, response, next) => {
    const token = tokenOf(request, 'Directory');
    const user = token === '' ? undefined : await findSession(db, token, Date.parse(utcNow()));
    if (!user) return void response.status(401).json({ error: texts.nobodyIsSignedInToDirectory });
    if (act && !mayDo(user.role, act))
      return void response.status(403).json({ error: texts.asYouCantDo(user.role) });
    sessions.set(request, { ...user, token });
    next();
  };
}

/** Who is signed in to the directory, where a route is for them. */
export function userOf(request: Request): SignedIn {
  const user = sessions.get(request);
  if (!user) throw new Error('nobody has looked who is signed in');
  return user;
}

/** The token shown under a scheme; '' where there is none that could be one. */
function tokenOf(request: Request, scheme: 'Bearer' | 'Directory'): string {
  const [, shown, token = ''] =
    /^(Bearer|Directory) ([\w-]{20,100})$/.exec(request.get('authorization') ?? '') ?? [];
  return shown === scheme ? token : '';
}
