import { childOf, type XmlElement } from '@/core/base';
import { changedUids, hrefFor, placeOf, thinnedTo, toCard } from '@/hub/store';
import {
  allHeads,
  directoryChanges,
  endAliases,
  hrefsOf,
  isLetThrough,
  listsOf,
  membersOf,
  type PlacedHead,
  type SeenHead,
  stateOf,
  syncTokenOf,
} from '@/hub/sync';

import { DavError } from './davError';
import type { DavAnswer } from './davRequest';
import { multistatus, multistatusInPieces, statusOf } from './multistatus';
import { dav, MAX_TOLD, MAX_TOLD_WHOLE } from './names';
import { followedBy, type Heads, isCut, limitIn, pathIn, type ReportContext, serve } from './reportContext';
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
  if (token !== '' && (!from || from.seq > now || from.seq < Math.max(device.since, await thinnedTo(db))))
    throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const part = from?.part;
  const since = part ? part.since : (from?.seq ?? 0);
  const told = part || !from ? (from?.seq ?? now) : now;
  const gone = new Set<string>();
  const isWhole = !from || (part !== undefined && since === 0);
  const heads = isWhole
    ? view.heads(part?.after)
    : inOrder(await tellChanges(context, since, gone), part?.after);
  await endAliases(request);
  const first = new FirstOf(heads, limit, part?.after);
  // What is gone is told at once: it is short.
  const left = part ? [] : [...gone];
  const end = () =>
    first.isMore
      ? [isCut(context), tokenElement(syncTokenOf(db, { seq: told, part: { since, after: first.after } }))]
      : [tokenElement(syncTokenOf(db, { seq: told }))];
  if (!context.wish) return answerSync(context, first, left, end);
  // Those with what is on them are few, and are counted.
  const here: SeenHead[] = [];
  for await (const some of first) here.push(...some);
  return { ...answerSync(context, [here], left, end), served: here.length };
}

/** The first members, in the order in which they are told, some at a time. */
class FirstOf implements AsyncIterable<readonly PlacedHead[]> {
  /** Whether there are others; known once all of these have been looked at. */
  isMore = false;
  /** Up to where in the order those reach that have been looked at. */
  after: string;

  /** @param from - after which they come */
  constructor(
    private readonly heads: AsyncIterable<readonly PlacedHead[]> | Iterable<readonly PlacedHead[]>,
    private readonly limit: number,
    from = '0',
  ) {
    this.after = from;
  }

  async *[Symbol.asyncIterator](): AsyncGenerator<readonly PlacedHead[]> {
    let left = this.limit;
    for await (const all of this.heads) {
      const some = all.slice(0, left);
      this.isMore = some.length < all.length;
      this.after = some.at(-1)?.place ?? this.after;
      left -= some.length;
      if (some.length > 0) yield some;
      if (this.isMore) return;
    }
  }
}

/** Members in the order in which they are told. */
function inOrder(heads: readonly SeenHead[], from = ''): readonly (readonly PlacedHead[])[] {
  const placed = heads.map((head) => ({ ...head, place: placeOf(head.uid) }));
  return [placed.filter(({ place }) => place > from).sort((a, b) => (a.place < b.place ? -1 : 1))];
}

function tokenElement(token: string): Xml {
  return element(dav('sync-token'), text(token));
}

/** The members that have changed since a change. @param gone - addresses of those that are gone are added to it */
async function tellChanges(context: ReportContext, since: number, gone: Set<string>): Promise<SeenHead[]> {
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
  return [...seen.values()];
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

/** @param gone - addresses @param end - what stands at the end, known once all has been told */
function answerSync(
  context: ReportContext,
  heads: Heads,
  gone: readonly string[],
  end: () => Xml[],
): DavAnswer {
  const base = pathIn(context);
  const left = gone.map((href) => statusOf(base + encodeURIComponent(href), '404 Not Found'));
  return multistatusInPieces(followedBy(serve(context, heads), () => [...left, ...end()]));
}

async function syncDirectory(context: ReportContext, token: string): Promise<DavAnswer> {
  const { request, view } = context;
  const end = () => [tokenElement(view.token)];
  const served = (heads: readonly SeenHead[]) => ({ served: context.wish ? heads.length : 0 });
  if (token === '') {
    const all = await allHeads(view);
    return { ...answerSync(context, [all], [], end), ...served(all) };
  }
  const today = request.now.slice(0, 10);
  const changed = await directoryChanges(request.db, { token, seq: view.seq, today });
  if (!changed) throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const here = await view.headsOf([...changed]);
  const gone = [...changed].flatMap((uid) => (here.has(uid) ? [] : hrefFor(uid)));
  const heads = [...here.values()];
  return { ...answerSync(context, [heads], gone, end), ...served(heads) };
}
