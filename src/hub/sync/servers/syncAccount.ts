import { errorMessage } from '@/core/base';
import { engineOf, type HubDb, inTransaction, unseal } from '@/hub/store';
import { texts } from '@/texts/sync/dav';

import { type SyncContext, SyncRefusal } from '../engine/context';
import { readFromDevice, versionOf } from '../engine/deviceText';
import { dropCard } from '../engine/dropCard';
import { rememberServed } from '../engine/rememberServed';
import { takeCard } from '../engine/takeCard';
import { textsFor } from '../engine/textsFor';
import { allHeads, cardOf } from '../passports/deviceView';
import { noteVisit, syncNow } from '../passports/noteVisit';
import { pendingFor } from '../passports/pendingFor';
import { viewOf } from '../passports/viewOf';
import { type Account, listAccounts } from './accounts';
import { type DavNews, type DavSession, openDavSession } from './davSession';

/** What a sync with a server needs. */
export interface AccountContext {
  readonly db: HubDb;
  /** UTCDateTime. */
  readonly now: string;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country: string;
  /** How long the server may take for one answer, in milliseconds. */
  readonly answerMs?: number;
}

/** How many cards were received and sent. */
export interface AccountVisit {
  readonly came: number;
  readonly went: number;
}

/**
 * One sync with a server: its changes are merged as if a device had sent them, then ours are sent. What the server
 * had before is remembered like what a device was served, so that only edits count as changes.
 *
 * @throws Error in words where the server can't be reached or refuses
 */
export function syncAccount(context: AccountContext, account: Account): Promise<AccountVisit> {
  const { db } = context;
  const visits = running.get(db) ?? new Map<number, Promise<AccountVisit>>();
  running.set(db, visits);
  const known = visits.get(account.device);
  if (known) return known;
  const visit = visitAlone(context, account).finally(() => visits.delete(account.device));
  visits.set(account.device, visit);
  return visit;
}

/** One visit of a server at a time. */
const running = new WeakMap<HubDb, Map<number, Promise<AccountVisit>>>();

/** Visits a server where no other hub at the store is at it. */
async function visitAlone(context: AccountContext, { device }: Account): Promise<AccountVisit> {
  const visit = await engineOf(context.db).alone(`server ${device}`, async () => {
    // As it is now: another may have been there since it was looked up.
    const account = (await listAccounts(context.db)).find((one) => one.device === device);
    if (!account) throw new Error(texts.serverIsNoLongerConnected);
    return visitAccount(context, account);
  });
  if (!visit) throw new Error(texts.serverIsBeingVisited);
  return visit;
}

async function visitAccount(context: AccountContext, account: Account): Promise<AccountVisit> {
  const { db, now } = context;
  const next = new Date(Date.parse(now) + account.everyMinutes * 60_000).toISOString();
  await change(db, account, { next });
  try {
    const { base, user } = account;
    const password = unseal(db, account.password);
    const { answerMs } = context;
    const session = await openDavSession({
      ...{ base, user, password, version: '3.0' },
      ...(answerMs === undefined ? {} : { answerMs }),
    });
    const news = withMissing(await session.news(account.syncToken), await hrefsAt(db, account));
    const etags = new Map(Object.entries(JSON.parse(account.etags) as Record<string, string>));
    for (const { href, etag } of news.changed) etags.set(href, etag);
    for (const href of news.gone) etags.delete(href);
    const isNews = news.changed.length > 0 || news.gone.length > 0;
    const sync = isNews ? await syncNow(db, account.passport, now) : undefined;
    const taken =
      account.passport.direction === 'out' ? noNews : await takeNews({ ...context, sync }, account, news);
    const { went, isToReadAll } =
      account.passport.direction === 'in'
        ? { went: 0, isToReadAll: false }
        : await sendNews(context, account, { session, etags, joined: taken.joined });
    await change(db, account, {
      syncToken: isToReadAll ? '' : news.syncToken,
      etags: JSON.stringify(Object.fromEntries(etags)),
    });
    // A server doesn't sign in here: its passport records when it was visited.
    await inTransaction(db, (store) =>
      store.updateTable('devices').set({ seen: now }).where('id', '=', account.device).execute(),
    );
    await noteVisit(db, account.passport, now, { went });
    return { came: taken.came, went };
  } catch (error) {
    const fault = errorMessage(error);
    await noteVisit(db, account.passport, now, { went: 0, fault });
    throw error;
  }
}

/** A whole listing says of all that isn't in it that it is gone: an expired token may have missed the deletion. */
function withMissing(news: DavNews, hrefs: readonly string[]): DavNews {
  if (!news.listed) return news;
  const listed = new Set(news.listed);
  return { ...news, gone: [...news.gone, ...hrefs.filter((href) => !listed.has(href))] };
}

/** The addresses at which the server is known to have something. */
async function hrefsAt(db: HubDb, { device }: Account): Promise<string[]> {
  const rows = await db.selectFrom('memory').select('href').where('device', '=', device).execute();
  return rows.map(({ href }) => href);
}

interface Taken {
  readonly came: number;
  /** Uids of cards that the server's cards were joined to: the server still has to get the result. */
  readonly joined: ReadonlySet<string>;
}

const noNews: Taken = { came: 0, joined: new Set() };

interface Taking extends AccountContext {
  readonly sync: number | undefined;
}

async function takeNews(context: Taking, account: Account, news: DavNews): Promise<Taken> {
  const { db } = context;
  // Most visits bring nothing.
  const before = news.changed.length === 0 ? [] : await allHeads(await viewOf(db, account.passport));
  const known = new Set(before.map(({ uid }) => uid));
  const addresses = new Set(before.map(({ href }) => href));
  const joined = new Set<string>();
  let came = 0;
  for (const { href, text } of news.changed) {
    const wasThere = addresses.has(href) && (await memoryAt(db, account, href)) !== undefined;
    // An unreadable card stays on the server; the others are processed.
    const version = versionOf(text);
    const { cards } = readFromDevice(text, version);
    const [sent] = cards;
    if (!sent || cards.length > 1) continue;
    const taken = await orUndefined(takeCard(asDevice(context, account), { href, sent, version }));
    if (!taken) continue;
    came += taken.came;
    const uid = await memoryAt(db, account, href);
    if (!wasThere && uid !== undefined && known.has(uid)) joined.add(uid);
  }
  for (const href of news.gone) {
    if ((await memoryAt(db, account, href)) === undefined) continue;
    came += (await orUndefined(dropCard(asDevice(context, account), { href })))?.came ?? 0;
  }
  return { came, joined };
}

/** What of a server isn't taken stays there. */
async function orUndefined<T>(work: Promise<T>): Promise<T | undefined> {
  try {
    return await work;
  } catch (error) {
    if (!(error instanceof SyncRefusal)) throw error;
    return undefined;
  }
}

function asDevice({ db, now, country, sync }: Taking, { passport: device }: Account): SyncContext {
  return { db, device, now, country, sync, isServer: true };
}

async function memoryAt(db: HubDb, { device }: Account, href: string): Promise<string | undefined> {
  const row = await db
    .selectFrom('memory')
    .select('uid')
    .where('device', '=', device)
    .where('href', '=', href)
    .executeTakeFirst();
  return row?.uid;
}

interface Sending {
  readonly session: DavSession;
  readonly etags: Map<string, string>;
  readonly joined: ReadonlySet<string>;
}

interface Sent {
  readonly went: number;
  /** Whether the server has something else somewhere than it has told. */
  readonly isToReadAll: boolean;
}

async function sendNews(
  { db }: AccountContext,
  account: Account,
  { session, etags, joined }: Sending,
): Promise<Sent> {
  const { passport, device } = account;
  const view = await viewOf(db, passport);
  const { added, changed, removed } = await pendingFor(db, passport, view);
  const fresh = new Set(added.map(({ uid }) => uid));
  let [went, isToReadAll] = [0, false];
  for (const uid of new Set([...fresh, ...changed.map((one) => one.uid), ...joined])) {
    const seen = await cardOf(view, uid);
    if (!seen) continue;
    const { href } = seen;
    const [text = ''] = await textsFor({ db, device: passport }, [seen], '3.0');
    const status = await session.put(href, text, fresh.has(uid) ? '' : etags.get(href));
    // Changed or deleted on the server in the meantime: it is merged with the next sync, which reads all there is, as the
    // change may be older than what the server tells news of.
    if (status === 412) {
      isToReadAll = true;
      continue;
    }
    if (status >= 300) throw new Error(`the server answered ${status} to a card`);
    etags.delete(href);
    await rememberServed({ db, device: passport }, [seen]);
    went += 1;
  }
  for (const { uid, href } of removed) {
    const status = await session.remove(href, etags.get(href));
    if (status === 412) {
      isToReadAll = true;
      continue;
    }
    if (status >= 300 && status !== 404) throw new Error(`the server answered ${status} to a deletion`);
    etags.delete(href);
    await inTransaction(db, (store) =>
      store.deleteFrom('memory').where('device', '=', device).where('uid', '=', uid).execute(),
    );
    went += 1;
  }
  return { went, isToReadAll };
}

function change(
  db: HubDb,
  { device }: Account,
  some: { readonly next?: string; readonly syncToken?: string; readonly etags?: string },
): Promise<unknown> {
  return inTransaction(db, (store) =>
    store.updateTable('accounts').set(some).where('device', '=', device).execute(),
  );
}
