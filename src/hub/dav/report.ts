import { createHash } from 'node:crypto';

import { childOf, childrenOf, inBatches, type XmlElement } from '@/core/base';
import { changedUids, toCard } from '@/hub/store';
import {
  type DeviceView,
  directoryChanges,
  endAliases,
  hrefFor,
  isLetThrough,
  listsOf,
  membersOf,
  rememberServed,
  type SeenCard,
  stateOf,
  syncTokenOf,
  trimForDevice,
} from '@/hub/sync';

import { readDataRequest } from './addressData';
import { DavError } from './davError';
import { type DavAnswer, type DavRequest, isOfDirectory, type Resource } from './davRequest';
import { multistatus, multistatusInPieces, responseOf, statusOf } from './multistatus';
import { bookPath, card as carddav, dav, MAX_FOUND, MAX_TOLD, MAX_TOLD_WHOLE } from './names';
import { breathe, PIECE } from './pieces';
import type { PropertySource } from './properties';
import { namesIn, readBody } from './propfind';
import { matchesFilter, readFilter } from './queryFilter';
import { viewFor } from './viewFor';
import { element, text, type Xml } from './writeXml';

/** REPORT (RFC 3253 §3.6): addressbook-multiget, addressbook-query, sync-collection. */
export async function report(request: DavRequest, resource: Resource): Promise<DavAnswer> {
  const body = readBody(request.body);
  if (resource.kind !== 'book') throw new DavError(403, 'no report is made here', dav('supported-report'));
  const view = await viewFor(request, resource);
  const asked = readAsked(body);
  const context: ReportContext = { request, view, isDirectory: isOfDirectory(resource), ...asked };
  switch (body.name) {
    case carddav('addressbook-multiget'):
      return multiget(context, body);
    case carddav('addressbook-query'):
      return query(context, body);
    case dav('sync-collection'):
      return syncCollection(context, body);
    default:
      throw new DavError(403, 'that report is not made', dav('supported-report'));
  }
}

interface Asked {
  readonly names: readonly string[];
  readonly wish: PropertySource['wish'];
}

interface ReportContext extends Asked {
  readonly request: DavRequest;
  /** Whether it is the common directory, for which no memory of devices is kept. */
  readonly isDirectory: boolean;
  readonly view: DeviceView;
}

function readAsked(body: XmlElement): Asked {
  const prop = childOf(body, dav('prop'));
  const data = childOf(prop, carddav('address-data'));
  const wish = data ? readDataRequest(data) : undefined;
  if (data && !wish)
    throw new DavError(403, 'that kind of address data is not served', carddav('supported-address-data'));
  return { names: namesIn(prop) ?? [dav('getetag')], wish };
}

function responseFor({ request, view, wish, names, isDirectory }: ReportContext, seen: SeenCard): Xml {
  const resource = { kind: 'card' as const, href: seen.href, isDirectory };
  return responseOf({ request, view, wish, seen, resource }, names);
}

/** The answers for cards, made piece by piece while they are sent, and remembered as served where they are complete. */
async function* serve(context: ReportContext, seen: readonly SeenCard[]): AsyncGenerator<Xml[]> {
  for (const piece of inBatches(seen, PIECE)) {
    await breathe();
    if (!context.wish) {
      yield piece.map((one) => responseFor(context, one));
      continue;
    }
    if (!context.isDirectory) await rememberServed(context.request, piece);
    yield (await trimForDevice(context.request, piece)).map((one) => responseFor(context, one));
  }
}

/** Pieces with others behind them. */
async function* followedBy(pieces: AsyncIterable<Xml[]>, ...rest: readonly Xml[][]): AsyncGenerator<Xml[]> {
  yield* pieces;
  yield* rest;
}

/** RFC 6352 §8.7. A card that is named again is answered once. */
function multiget(context: ReportContext, body: XmlElement): DavAnswer {
  const { view } = context;
  const found = new Map<string, SeenCard>();
  const missing: Xml[] = [];
  for (const path of new Set(childrenOf(body, dav('href')).map((one) => one.text.trim()))) {
    const seen = view.byHref.get(hrefIn(path, pathIn(context)) ?? '');
    if (seen) found.set(seen.uid, seen);
    else missing.push(statusOf(path, '404 Not Found'));
  }
  const seen = [...found.values()];
  return {
    ...multistatusInPieces(followedBy(serve(context, seen), missing)),
    served: context.wish ? seen.length : 0,
  };
}

/** The last part of a card's address, which may be a whole URL; undefined for the address of something else. */
function hrefIn(path: string, base: string): string | undefined {
  const bare = path.replace(/^https?:\/\/[^/]+/i, '');
  try {
    const decoded = decodeURIComponent(bare);
    return decoded.startsWith(base) ? decoded.slice(base.length) : undefined;
  } catch {
    return undefined;
  }
}

/** RFC 6352 §8.6. */
async function query(context: ReportContext, body: XmlElement): Promise<DavAnswer> {
  const filter = readFilter(childOf(body, carddav('filter')));
  const limit = Math.min(MAX_FOUND, limitIn(body, carddav));
  const found: SeenCard[] = [];
  for (const piece of inBatches([...context.view.byUid.values()], PIECE)) {
    await breathe();
    found.push(...piece.filter(({ card }) => matchesFilter(card, filter)));
    if (found.length > limit) break;
  }
  const rest = found.length > limit ? [isCut(context)] : [];
  const told = found.slice(0, limit);
  return {
    ...multistatusInPieces(followedBy(serve(context, told), rest)),
    served: context.wish ? told.length : 0,
  };
}

/** How many members a client wants at most (RFC 6352 §10.6, RFC 6578 §6.4); without end where it doesn't say. */
function limitIn(body: XmlElement, name: (local: string) => string): number {
  const said = childOf(childOf(body, name('limit')), name('nresults'))?.text.trim() ?? '';
  return /^\d{1,9}$/.test(said) ? Number(said) : Infinity;
}

/** There is more than has been told. */
function isCut(context: ReportContext): Xml {
  return statusOf(pathIn(context), '507 Insufficient Storage', [
    element(dav('error'), element(dav('number-of-matches-within-limits'))),
  ]);
}

/** RFC 6578 §3: what was added, changed or removed since a token; without one, everything. Much is told in parts (§3.6). */
async function syncCollection(context: ReportContext, body: XmlElement): Promise<DavAnswer> {
  const { request, view } = context;
  const { device, db } = request;
  const token = childOf(body, dav('sync-token'))?.text.trim() ?? '';
  const limit = Math.min(context.wish ? MAX_TOLD_WHOLE : MAX_TOLD, limitIn(body, dav));
  if (token === view.token) return multistatus([], [tokenElement(token)]);
  if (context.isDirectory) return syncDirectory(context, token);
  // What others do from here on is told the next time.
  const now = view.seq;
  const from = token === '' ? undefined : stateOf(db, token);
  if (token !== '' && (!from || from.seq > now || from.seq < device.since))
    throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const part = from?.part;
  const since = part ? part.since : (from?.seq ?? 0);
  const told = part || !from ? (from?.seq ?? now) : now;
  const here = new Map<string, SeenCard>();
  const gone = new Set<string>();
  const isWhole = !from || (part !== undefined && since === 0);
  if (isWhole) for (const [uid, seen] of view.byUid) here.set(uid, seen);
  else await tellChanges(context, since, { here, gone });
  await endAliases(request);
  const { some, after, isMore } = firstOf(here, limit, part?.after);
  const next = syncTokenOf(db, isMore ? { seq: told, part: { since, after } } : { seq: told });
  // What is gone is told at once: it is short.
  return answerSync(context, { here: some, gone: part ? [] : gone, next, isMore });
}

interface FirstOf {
  readonly some: readonly SeenCard[];
  /** Up to where in the order they reach. */
  readonly after: string;
  readonly isMore: boolean;
}

/** The first members after one, in the order in which they are told. */
function firstOf(here: ReadonlyMap<string, SeenCard>, limit: number, from: string | undefined): FirstOf {
  // Putting thousands in order costs as much as telling them.
  if (from === undefined && here.size <= limit)
    return { some: [...here.values()], after: '0', isMore: false };
  const inOrder = [...here]
    .map(([uid, seen]) => ({ seen, at: orderOf(uid) }))
    .filter(({ at }) => from === undefined || at > from)
    .sort((a, b) => (a.at < b.at ? -1 : 1));
  const some = inOrder.slice(0, limit);
  return {
    some: some.map(({ seen }) => seen),
    after: some.at(-1)?.at ?? from ?? '0',
    isMore: inOrder.length > some.length,
  };
}

/** The order in which members are told, which no change of them moves. */
function orderOf(uid: string): string {
  return createHash('sha256').update(uid).digest('hex').slice(0, 24);
}

function tokenElement(token: string): Xml {
  return element(dav('sync-token'), text(token));
}

interface Told {
  readonly here: Map<string, SeenCard>;
  /** Addresses. */
  readonly gone: Set<string>;
}

/** What a device is told of the changes since one. */
async function tellChanges(context: ReportContext, since: number, { here, gone }: Told): Promise<void> {
  const { request, view } = context;
  const { device, db } = request;
  const changed = await changedUids(db, since);
  const memory = await db
    .selectFrom('memory')
    .select(['uid', 'href'])
    .where('device', '=', device.id)
    .execute();
  const hrefs = new Map(memory.map(({ uid, href }) => [uid, href]));
  // Membership is on the list's own card: a member's card hasn't changed.
  const isList = listsOf(device).some((list) => changed.includes(list));
  // Whom a list names follows whom the passport lets through.
  const groups = [...view.byUid.values()].filter(({ card }) => card.kind === 'group').map(({ uid }) => uid);
  const concerned = new Set([
    ...changed,
    ...groups,
    ...(isList ? [...view.byUid.keys(), ...hrefs.keys()] : []),
  ]);
  for (const uid of concerned) {
    const seen = view.byUid.get(uid);
    if (seen) here.set(uid, seen);
  }
  // Only what the device has been told of is told to be gone: the address of any other card is none of its business.
  const unknown = [...concerned].filter((uid) => !view.byUid.has(uid) && !hrefs.has(uid));
  const told = await seenBefore(context, since, unknown);
  for (const uid of concerned) {
    const href = hrefs.get(uid) ?? (told.has(uid) ? hrefFor(uid) : undefined);
    if (!view.byUid.has(uid) && href !== undefined) gone.add(href);
  }
  const joined = await db
    .selectFrom('gone')
    .select('href')
    .where('device', '=', device.id)
    .where('seq', '>', since)
    .execute();
  for (const { href } of joined) if (!view.byHref.has(href)) gone.add(href);
}

/** Which of some cards the passport let through at a change: their addresses may be known without their contents. */
async function seenBefore(
  { request: { db, device } }: ReportContext,
  since: number,
  uids: readonly string[],
): Promise<ReadonlySet<string>> {
  if (uids.length === 0) return new Set();
  const members = await membersOf(db, listsOf(device));
  // In one query: an import may have changed thousands.
  const firsts = await db
    .selectFrom('changes')
    .select(['uid', 'before'])
    .where('seq', 'in', (query) =>
      query
        .selectFrom('changes')
        .select(({ fn }) => fn.min('seq').as('first'))
        .where('seq', '>', since)
        .groupBy('uid'),
    )
    .execute();
  const asked = new Set(uids);
  const seen = firsts.filter(
    ({ uid, before }) => asked.has(uid) && before !== null && isLetThrough(device, toCard(before), members),
  );
  return new Set(seen.map(({ uid }) => uid));
}

interface SyncAnswer {
  readonly here: readonly SeenCard[];
  /** Addresses. */
  readonly gone: Iterable<string>;
  /** The token from which the next sync goes on. */
  readonly next: string;
  readonly isMore: boolean;
}

function answerSync(context: ReportContext, { here, gone, next, isMore }: SyncAnswer): DavAnswer {
  const base = pathIn(context);
  const left = [...gone].map((href) => statusOf(base + encodeURIComponent(href), '404 Not Found'));
  const rest = [...left, ...(isMore ? [isCut(context)] : []), tokenElement(next)];
  return {
    ...multistatusInPieces(followedBy(serve(context, here), rest)),
    served: context.wish ? here.length : 0,
  };
}

async function syncDirectory(context: ReportContext, token: string): Promise<DavAnswer> {
  const { request, view } = context;
  if (token === '')
    return answerSync(context, { here: [...view.byUid.values()], gone: [], next: view.token, isMore: false });
  const today = request.now.slice(0, 10);
  const changed = await directoryChanges(request.db, { token, seq: view.seq, today });
  if (!changed) throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const here = [...changed].flatMap((uid) => view.byUid.get(uid) ?? []);
  const gone = [...changed].flatMap((uid) => (view.byUid.has(uid) ? [] : hrefFor(uid)));
  return answerSync(context, { here, gone, next: view.token, isMore: false });
}

function pathIn({ request, isDirectory }: ReportContext): string {
  return bookPath(request.device.user, isDirectory);
}
