import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import express, { type Express } from 'express';

import { type Card, newCard, parseName } from '@/core/card';
import { gate } from '@/hub/access';
import { davRouter, wellKnown } from '@/hub/dav';
import { type HubDb, openStore } from '@/hub/store';
import type { Credentials } from '@/hub/sync';

/** The moment at which tests take place, a UTCDateTime. */
export const TEST_NOW = '2026-11-26T10:00:00Z';

/**
 * Opens a store for a test: in its folder, or in a schema of its own of the PostgreSQL server on which the tests are run; for tests
 * only.
 */
export function openTestStore(folder: string): Promise<HubDb> {
  return openStore(folder, testAddress(folder));
}

/** Where a test's store is, if not in its folder; for tests only. */
export function testAddress(folder: string): string | undefined {
  const server = process.env['CORDIALIS_TEST_STORE'];
  if (server === undefined) return undefined;
  const schema = `t_${createHash('sha256').update(folder).digest('hex').slice(0, 20)}`;
  return `${server}?schema=${schema}`;
}

/** A hub with a store of its own that serves CardDAV on a free port of this machine; for tests only. */
export interface TestHub {
  readonly db: HubDb;
  readonly base: string;
  /** Where the store is; goes when it stops. */
  readonly folder: string;
  /** Ends it and begins another with its store: whatever it had in memory only is gone. */
  restart(): Promise<TestHub>;
  stop(): Promise<void>;
}

/**
 * Starts one; its store goes with it.
 *
 * @param addMore - puts more than CardDAV on it
 * @param utcNow - its clock, which stands still unless one is given
 */
export async function startTestHub(
  addMore?: (app: Express, db: HubDb) => void,
  utcNow: () => string = () => TEST_NOW,
): Promise<TestHub> {
  return startIn(mkdtempSync(join(tmpdir(), 'cordialis-hub-')), addMore, utcNow);
}

async function startIn(
  folder: string,
  addMore: ((app: Express, db: HubDb) => void) | undefined,
  utcNow: () => string,
): Promise<TestHub> {
  const db = await openTestStore(folder);
  const app = express();
  app.use(gate({ db, isDemo: false, utcNow }));
  app.all('/.well-known/carddav', wellKnown);
  app.use('/dav', davRouter({ db, country: 'GB', utcNow }));
  addMore?.(app, db);
  const server = await new Promise<Server>((resolve) => {
    const one = app.listen(0, '127.0.0.1', () => resolve(one));
  });
  const end = async () => {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await db.destroy();
  };
  return {
    ...{ db, folder },
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    restart: async () => {
      await end();
      return startIn(folder, addMore, utcNow);
    },
    stop: async () => {
      await end();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** A person's card; for tests only. */
export function testPerson(uid: string, full: string, more: Partial<Card> = {}): Card {
  return { ...newCard(uid, TEST_NOW), kind: 'individual', name: parseName(full) ?? {}, ...more };
}

/** A clock that says another second each time: what differs only by when it was written is no change; for tests only. */
export function movingClock(): () => string {
  let seconds = 0;
  return () => new Date(Date.parse(TEST_NOW) + (seconds += 1) * 1000).toISOString().replace('.000', '');
}

/** What a device does with one of its cards over CardDAV; for tests only. */
export async function askAs(
  base: string,
  { user, password }: Credentials,
  method: string,
  href: string,
  { body, headers = {} }: { readonly body?: string; readonly headers?: Record<string, string> } = {},
): Promise<{ readonly status: number; readonly text: string; readonly etag: string }> {
  const response = await fetch(`${base}/dav/books/${user}/cards/${href}`, {
    method,
    ...(body === undefined ? {} : { body }),
    headers: {
      Authorization: `Basic ${btoa(`${user}:${password}`)}`,
      'Content-Type': 'text/vcard; charset=utf-8',
      ...(method === 'PROPFIND' ? { Depth: '0' } : {}),
      ...headers,
    },
  });
  const text = await response.text();
  return { status: response.status, text, etag: response.headers.get('etag') ?? '' };
}
