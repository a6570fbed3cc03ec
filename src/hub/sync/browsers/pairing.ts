import { createHash, randomBytes } from 'node:crypto';

import type { Selectable } from 'kysely';

import { type BrowsersTable, type HubDb, inTransaction } from '@/hub/store';
import { texts } from '@/texts/sync/browsers';

/** A browser that has been paired. */
export type Browser = Selectable<BrowsersTable>;

/** Unambiguous letters and digits of a code; 32, so that each octet is uniform. */
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_SIGNS = 8;
/** How long a code is valid, in milliseconds: long enough to walk to the other machine. */
const CODE_LASTS_MS = 10 * 60 * 1000;

const hashOf = (text: string) => createHash('sha256').update(text).digest('hex');
const plain = (code: string) => code.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** Makes a code by which one browser may be paired within ten minutes. @param nowMs - milliseconds since 1970 */
export async function makeCode(db: HubDb, nowMs: number): Promise<string> {
  const code = [...randomBytes(CODE_SIGNS)].map((octet) => SIGNS.charAt(octet % SIGNS.length)).join('');
  const until = new Date(nowMs + CODE_LASTS_MS).toISOString();
  await inTransaction(db, async (store) => {
    await store.deleteFrom('codes').where('until', '<', new Date(nowMs).toISOString()).execute();
    await store
      .insertInto('codes')
      .values({ hash: hashOf(code), until })
      .execute();
  });
  return `${code.slice(0, 4)}-${code.slice(4)}`;
}

/**
 * Pairs a browser.
 *
 * @returns the token that it shows from now on; undefined where the code is not good
 */
export async function pairBrowser(
  db: HubDb,
  { code, name }: { readonly code: string; readonly name: string },
  nowMs: number,
): Promise<{ readonly token: string; readonly name: string } | undefined> {
  const token = randomBytes(32).toString('base64url');
  const paired = await inTransaction(db, async (store) => {
    const known = await store
      .selectFrom('codes')
      .selectAll()
      .where('hash', '=', hashOf(plain(code)))
      .executeTakeFirst();
    const leftMs = known ? Date.parse(known.until) - nowMs : -1;
    // One that would last longer than any was made when the clock said something else.
    if (!known || leftMs < 0 || leftMs > CODE_LASTS_MS) return undefined;
    await store.deleteFrom('codes').where('hash', '=', known.hash).execute();
    const free = await freeName(store, name.trim() === '' ? texts.browser : name.trim().slice(0, 60));
    const created = `${new Date(nowMs).toISOString().slice(0, 19)}Z`;
    await store
      .insertInto('browsers')
      .values({ name: free, token: hashOf(token), created, seen: created })
      .execute();
    return free;
  });
  return paired === undefined ? undefined : { token, name: paired };
}

/** How long a token is good without being used, in milliseconds: a browser that is forgotten in a drawer stays no way in. */
const TOKEN_LASTS_MS = 180 * 24 * 3600 * 1000;

/** The browser that shows a token; undefined for one that isn't good, or hasn't been used for half a year. */
export async function findBrowser(db: HubDb, token: string, nowMs: number): Promise<Browser | undefined> {
  const known = await db
    .selectFrom('browsers')
    .selectAll()
    .where('token', '=', hashOf(token))
    .executeTakeFirst();
  return known && nowMs - Date.parse(known.seen ?? known.created) <= TOKEN_LASTS_MS ? known : undefined;
}

/** Unpairs a browser: its token becomes invalid, its cards stay here and there. */
export function forgetBrowser(db: HubDb, name: string): Promise<boolean> {
  return inTransaction(db, async (store) => {
    const browser = await store
      .selectFrom('browsers')
      .select('id')
      .where('name', '=', name)
      .executeTakeFirst();
    if (!browser) return false;
    await store.deleteFrom('sent').where('browser', '=', browser.id).execute();
    await store.deleteFrom('browsers').where('id', '=', browser.id).execute();
    return true;
  });
}

async function freeName(store: HubDb, name: string): Promise<string> {
  for (let count = 1; ; count += 1) {
    const one = count === 1 ? name : `${name} ${count}`;
    const known = await store.selectFrom('browsers').select('id').where('name', '=', one).executeTakeFirst();
    if (!known) return one;
  }
}
