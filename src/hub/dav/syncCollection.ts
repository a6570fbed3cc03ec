import { createHash } from 'node:crypto';

import { childOf, type XmlElement } from '@/core/base';
import { changedUids, hrefFor, thinnedTo, toCard } from '@/hub/store';
import {
  allHeads,
  directoryChanges,
  endAliases,
  hrefsOf,
  isLetThrough,
  listsOf,
  membersOf,
  type SeenHead,
  stateOf,
  syncTokenOf,
} from '@/hub/sync';

import { DavError } from './davError';
import type { DavAnswer } from './davRequest';
import { multistatus, multistatusInPieces, statusOf } from './multistatus';
import { dav, MAX_TOLD, MAX_TOLD_WHOLE } from './names';
import { followedBy, isCut, limitIn, pathIn, type ReportContext, serve } from './reportContext';
import { element, text, type Xml } from './writeXml';

/** RFC 6578 §3: what was added, changed or removed since a token; without one, everything. Much is told in parts (§3.6). */
export async function syncCollection(context: ReportContext, body: XmlElement): Promise<DavAnswer> {
  const { request, view } = context;
  const { device, db } = request;
  const token = childOf(body, dav('sync-token'))?.text.trim() ?? '';
  const limit = Math.min(context.wish ? MAX_TOLD_WHOLE : MAX_TOLD, limitIn(body, dav));
  if (token === view.token) return multistatus([], [tokenElement(token)]);
  if (context.isDirectory) return syncDirectory(context, token);
  // What others do from here on is told the next time.
  const now = view.seq;
  const from = token === '' ? undefined : stateOf(db, token);
  const oldest = Math.max(device.since, await thinnedTo(db));
  if (token !== '' && (!from || from.seq > now || from.seq < oldest))
    throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const part = from?.part;
  const since = part ? part.since : (from?.seq ?? 0);
  const told = part || !from ? (from?.seq ?? now) : now;
  const here = new Map<string, SeenHead>();
  const gone = new Set<string>();
  const isWhole = !from || (part !== undefined && since === 0);
  if (isWhole) for (const seen of await allHeads(view)) here.set(seen.uid, seen);
  else await tellChanges(context, since, { here, gone });
  await endAliases(request);
  const { some, after, isMore } = firstOf(here, limit, part?.after);
  const next = syncTokenOf(db, isMore ? { seq: told, part: { since, after } } : { seq: told });
  // What is gone is told at once: it is short.
  return answerSync(context, { here: some, gone: part ? [] : gone, next, isMore });
}

interface FirstOf {
  readonly some: readonly SeenHead[];
  /** Up to where in the order they reach. */
  readonly after: string;
  readonly isMore: boolean;
}

/** The first members after one, in the order in which they are told. */
function firstOf(here: ReadonlyMap<string, SeenHead>, limit: number, from: string | undefined): FirstOf {
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
  readonly here: Map<string, SeenHead>;
  /** Addresses. */
  readonly gone: Set<string>;
}

/** What a device is told of the changes since one. */
async function tellChanges(context: ReportContext, since: number, { here, gone }: Told): Promise<void> {
  const { request, view } = context;
  const { device, db } = request;
  const changed = await changedUids(db, since);
  // Membership is on the list's own card: a member's card hasn't changed.
  const isList = listsOf(device).some((list) => changed.includes(list));
  // Whom a list names follows whom the passport lets through.
  const groups = (await view.lists()).map(({ uid }) => uid);
  const some = [...changed, ...groups];
  const hrefs = await hrefsOf(db, device, isList ? undefined : some);
  const all = isList ? (await allHeads(view)).map(({ uid }) => uid) : [];
  const concerned = new Set(isList ? [...some, ...all, ...hrefs.keys()] : some);
  const seen = await view.headsOf([...concerned]);
  for (const [uid, head] of seen) here.set(uid, head);
  // Only what the device has been told of is told to be gone: the address of any other card is none of its business.
  const unknown = [...concerned].filter((uid) => !seen.has(uid) && !hrefs.has(uid));
  const told = await seenBefore(context, since, unknown);
  for (const uid of concerned) {
    const href = hrefs.get(uid) ?? (told.has(uid) ? hrefFor(uid) : undefined);
    if (!seen.has(uid) && href !== undefined) gone.add(href);
  }
  const joined = await db
    .selectFrom('gone')
    .select('href')
    .where('device', '=', device.id)
    .where('seq', '>', since)
    .execute();
  const there = await view.headsAt(joined.map(({ href }) => href));
  for (const { href } of joined) if (!there.has(href)) gone.add(href);
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
    ({ uid, before }) =>
      asked.has(uid) && before !== null && before !== '' && isLetThrough(device, toCard(before), members),
  );
  return new Set(seen.map(({ uid }) => uid));
}

interface SyncAnswer {
  readonly here: readonly SeenHead[];
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
    return answerSync(context, { here: await allHeads(view), gone: [], next: view.token, isMore: false });
  const today = request.now.slice(0, 10);
  const changed = await directoryChanges(request.db, { token, seq: view.seq, today });
  if (!changed) throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const here = await view.headsOf([...changed]);
  const gone = [...changed].flatMap((uid) => (here.has(uid) ? [] : hrefFor(uid)));
  return answerSync(context, { here: [...here.values()], gone, next: view.token, isMore: false });
}
