/** @jest-environment node */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import type { Express, Router } from 'express';

import { mayDo, type Role } from '@/core/directory';
import { ROLES } from '@/core/directory/directoryEntry';
import { DIRECTORY_ACTS } from '@/core/directory/mayDo';
import { utcNow } from '@/hub/base';
import { addUser, signInUser } from '@/hub/directory';
import { makeHub } from '@/hub/makeHub';
import { type HubDb } from '@/hub/store';
import { addDevice, makeCode, pairBrowser } from '@/hub/sync';
import { openTestStore } from '@/hub/testing';

import { type GuardedRoute, routesOf } from './routes';

const DEMO_DAY = '2026-11-26';
const PASSPHRASE = 'harbour lights at nine';
const folder = mkdtempSync(join(tmpdir(), 'cordialis-gate-'));
writeFileSync(join(folder, 'index.html'), '<html><head></head></html>');
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A hub with everything on it. */
class WholeHub {
  private constructor(
    readonly db: HubDb,
    readonly app: Express,
    private readonly server: Server,
  ) {}

  static async start(isDemo: boolean): Promise<WholeHub> {
    const dataRoot = mkdtempSync(join(folder, 'data-'));
    const db = await openTestStore(dataRoot);
    const app = makeHub({ webRoot: folder, db, ...(isDemo ? { demoDay: DEMO_DAY } : {}) });
    const server = await new Promise<Server>((resolve) => {
      const one = app.listen(0, '127.0.0.1', () => resolve(one));
    });
    return new WholeHub(db, app, server);
  }

  get base(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  async stop(): Promise<void> {
    this.server.closeAllConnections();
    await new Promise((resolve) => this.server.close(resolve));
    await this.db.destroy();
  }
}

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle: { readonly stack?: readonly Layer[] };
  match(path: string): boolean;
}

const layersOf = (router: unknown) => (router as { readonly stack: readonly Layer[] }).stack;

/** Where a router may be mounted: every beginning of a path of the table. */
const BEGINNINGS = [
  ...new Set(
    [true, false].flatMap((isDemo) =>
      routesOf({ isDemo }).flatMap(({ path }) => {
        const parts = path
          .replace(/\{.*\}/, '')
          .split('/')
          .filter(Boolean);
        return parts.map((_, i) => `/${parts.slice(0, i + 1).join('/')}`);
      }),
    ),
  ),
].sort((a, b) => a.length - b.length);

/** Whether a route is for every method: Express lists them all. */
const isEvery = (methods: Readonly<Record<string, boolean>> = {}) => 'propfind' in methods;

/** All routes of a running hub, as `GET /path`, found in its routers and not in the table. */
function walk(router: unknown, at = ''): string[] {
  return layersOf(router).flatMap((layer): string[] => {
    if (layer.route)
      return Object.keys(layer.route.methods).map(
        (method) =>
          `${isEvery(layer.route?.methods) ? 'ALL' : method.toUpperCase()} ${at}${layer.route?.path === '/' ? '' : layer.route?.path}`,
      );
    if (!layer.handle.stack) return [];
    // Express forgets where a router was mounted; it answers, though, whether a path leads into it.
    const mounted = layer.match('/nowhere/at/all')
      ? ''
      : BEGINNINGS.filter((one) => one.startsWith(at)).find((one) => layer.match(one.slice(at.length)));
    if (mounted === undefined) throw new Error('a router is mounted where the table knows of nothing');
    return walk(layer.handle, mounted === '' ? at : mounted);
  });
}

/** The routes behind the gate, which is one of the first layers itself. */
function routesBehindGate(app: Express): string[] {
  const { stack } = app.router as unknown as { stack: Layer[] };
  const gateAt = stack.findIndex(
    ({ handle }) => handle.stack?.some(({ route }) => route?.path === '/api{/*path}') === true,
  );
  return walk({ stack: stack.slice(gateAt + 1) } as unknown as Router);
}

const nameOf = ({ method, path }: GuardedRoute) => `${method} ${path}`;

test.each([true, false])('what the hub routes is what the table has, in a demo: %s', async (isDemo) => {
  const hub = await WholeHub.start(isDemo);
  const found = new Set(routesBehindGate(hub.app).map((one) => one.replace(/ \/dav$/, ' /dav{/*path}')));
  const table = routesOf({ isDemo }).filter(({ who }) => who !== 'nobody');
  // The names of a demo's parts are a list of their own, and CardDAV has one router for all.
  const own = (name: string) => !/\/dav|\/api\/demo\//.test(name);
  expect([...new Set(table.map(nameOf))].filter(own).sort()).toEqual([...found].filter(own).sort());
  expect([...found].filter((name) => name.includes('/api/demo/')).length).toBe(isDemo ? 4 : 0);
  await hub.stop();
});

/** What is shown by whom. */
interface Callers {
  readonly nobody: Record<string, string>;
  readonly stranger: Record<string, string>;
  readonly browser: Record<string, string>;
  readonly device: Record<string, string>;
  readonly roles: Readonly<Record<Role, Record<string, string>>>;
}

async function callersOf(db: HubDb): Promise<Callers> {
  for (const table of ['directorySessions', 'directoryUsers', 'devices', 'browsers'] as const)
    await db.deleteFrom(table).execute();
  const nowMs = Date.now();
  const paired = await pairBrowser(db, { code: await makeCode(db, nowMs), name: 'Own' }, nowMs);
  const { user, password } = await addDevice(db, { name: 'Phone', direction: 'both' }, utcNow());
  const roles: [Role, Record<string, string>][] = [];
  for (const role of ROLES) {
    await addUser(db, { name: role, role, passphrase: PASSPHRASE }, { name: 'me', now: utcNow() });
    const session = await signInUser(db, { name: role, passphrase: PASSPHRASE }, nowMs);
    roles.push([role, { Authorization: `Directory ${session?.token ?? ''}` }]);
  }
  return {
    nobody: {},
    stranger: { Authorization: `Bearer ${'x'.repeat(43)}` },
    browser: { Authorization: `Bearer ${paired?.token ?? ''}` },
    device: { Authorization: `Basic ${Buffer.from(`${user}:${password}`).toString('base64')}` },
    roles: Object.fromEntries(roles) as Record<Role, Record<string, string>>,
  };
}

/** Whose calls a route lets in, worked out from what it is for and not from how the gate does it. */
function whoShouldGetIn({ who, method }: GuardedRoute): string[] {
  const everybody = ['nobody', 'stranger', 'browser', 'device', ...ROLES];
  if (who === 'anybody' || who === 'page' || method === 'OPTIONS') return everybody;
  if (who === 'browser' || who === 'device') return [who];
  if (who === 'directory') return [...ROLES];
  const act = DIRECTORY_ACTS.find((one) => who === `directory ${one}`);
  return act ? ROLES.filter((role) => mayDo(role, act)) : [];
}

const [OWN, IN_DEMO] = [routesOf({ isDemo: false }), routesOf({ isDemo: true })];
/** A demo differs by its first rows. */
const GATED = [
  ...OWN.map((route) => ({ isDemo: false, route, name: nameOf(route) })),
  ...IN_DEMO.slice(0, IN_DEMO.length - OWN.length).map((route) => ({
    ...{ isDemo: true, route, name: `${nameOf(route)} in a demo` },
  })),
];
const hubs = new Map<boolean, { readonly hub: WholeHub; callers: Callers }>();
beforeAll(async () => {
  for (const isDemo of [true, false]) {
    const hub = await WholeHub.start(isDemo);
    hubs.set(isDemo, { hub, callers: await callersOf(hub.db) });
  }
});
afterAll(async () => {
  for (const { hub } of hubs.values()) await hub.stop();
});

test.each(GATED)('$name lets in whom the table says, and nobody else', async ({ isDemo, route }) => {
  const at = hubs.get(isDemo);
  if (!at) throw new Error('there is no hub');
  const { hub } = at;
  const { roles, ...others } = at.callers;
  const callers: [string, Record<string, string>][] = [...Object.entries(others), ...Object.entries(roles)];
  const path = route.path
    .replace('/dav{/*path}', '/dav/')
    .replace('/{*place}', '/book')
    .replace('/demo/:what', '/demo/cards')
    .replace(/\{\/\*path\}/, '/nowhere')
    .replace(/:\w+/g, 'x');
  const method = route.method === 'ALL' ? 'PROPFIND' : route.method;
  const call = async (headers: Record<string, string>) => {
    const ended = new AbortController();
    const sent = { 'Content-Type': 'application/json', Depth: '0', ...headers };
    const answer = await fetch(hub.base + path, {
      ...{ method, headers: sent, redirect: 'manual', signal: ended.signal },
      ...(['GET', 'OPTIONS'].includes(method) ? {} : { body: '{}' }),
    });
    ended.abort();
    return answer.status;
  };
  // Those who get in come last, as they may end what they are let in by.
  const wanted = whoShouldGetIn(route);
  const inOrder = [...callers].sort(([a], [b]) => Number(wanted.includes(a)) - Number(wanted.includes(b)));
  for (const [name, headers] of inOrder) {
    if (wanted.includes(name) && route.who !== 'anybody' && route.who !== 'device')
      expect([name, await call({ ...headers, Origin: 'https://elsewhere.example' })]).toEqual([name, 403]);
    const status = await call(headers);
    const isOut = [401, 403].includes(status) || route.who === 'nobody';
    // A wrong code and a wrong passphrase are refused with the same numbers, by what is behind the gate.
    const isKeyhole = ['/api/pair', '/api/directory/session'].includes(path) && method === 'POST';
    if (!isKeyhole) expect([name, isOut, status]).toEqual([name, !wanted.includes(name), status]);
    if (route.who === 'nobody') expect(status).toBe(404);
  }
  // These end what their callers are let in by.
  if (method === 'DELETE' && /pair|session/.test(path)) at.callers = await callersOf(hub.db);
});

test('a route that the table doesn’t have is closed, whatever is behind it', async () => {
  const at = hubs.get(false);
  at?.hub.app.get('/api/devices/all/of/them', (_, response) => void response.json('everything'));
  const headers = at?.callers.browser ?? {};
  expect((await fetch(`${at?.hub.base}/api/devices/all/of/them`, { headers })).status).toBe(404);
});
