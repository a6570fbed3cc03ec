import { childOf, childrenOf, type XmlElement } from '@/core/base';
import { changedSince, toCard } from '@/hub/store';
import {
  type DeviceView,
  directoryChanges,
  hrefFor,
  isLetThrough,
  listsOf,
  membersOf,
  type SeenCard,
  seqOf,
} from '@/hub/sync';

import { readDataRequest } from './addressData';
import { DavError } from './davError';
import { type DavAnswer, type DavRequest, isOfDirectory, type Resource } from './davRequest';
import { multistatus, responseOf, statusOf } from './multistatus';
import { bookPath, card as carddav, dav } from './names';
import type { PropertySource } from './properties';
import { namesIn, readBody } from './propfind';
import { matchesFilter, readFilter } from './queryFilter';
import { endAliases, rememberServed } from './rememberServed';
import { trimForDevice, viewFor } from './viewFor';
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

/** The answers for cards, remembered as served where they are complete. */
async function serve(context: ReportContext, seen: readonly SeenCard[]): Promise<Xml[]> {
  if (!context.wish) return seen.map((one) => responseFor(context, one));
  if (!context.isDirectory) await rememberServed(context.request, seen);
  return (await trimForDevice(context.request, seen)).map((one) => responseFor(context, one));
}

/** RFC 6352 §8.7. */
async function multiget(context: ReportContext, body: XmlElement): Promise<DavAnswer> {
  const { view } = context;
  const paths = childrenOf(body, dav('href')).map((one) => one.text.trim());
  const found = paths.map((path) => view.byHref.get(hrefIn(path, pathIn(context)) ?? ''));
  const served = await serve(
    context,
    found.flatMap((seen) => seen ?? []),
  );
  // In the requested order.
  const responses = paths.map((path, i) =>
    found[i] ? (served.shift() ?? statusOf(path, '404 Not Found')) : statusOf(path, '404 Not Found'),
  );
  return { ...multistatus(responses), served: context.wish ? found.filter(Boolean).length : 0 };
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
  const limit = Number(childOf(childOf(body, carddav('limit')), carddav('nresults'))?.text ?? Infinity);
  const found: SeenCard[] = [];
  let isCut = false;
  for (const seen of context.view.byUid.values()) {
    if (!matchesFilter(seen.card, filter)) continue;
    isCut = found.length >= limit;
    if (isCut) break;
    found.push(seen);
  }
  const rest = isCut
    ? [
        statusOf(pathIn(context), '507 Insufficient Storage', [
          element(dav('error'), element(dav('number-of-matches-within-limits'))),
        ]),
      ]
    : [];
  return {
    ...multistatus([...(await serve(context, found)), ...rest]),
    served: context.wish ? found.length : 0,
  };
}

/** RFC 6578 §3: what was added, changed or removed since a token; without one, everything. */
async function syncCollection(context: ReportContext, body: XmlElement): Promise<DavAnswer> {
  const { request, view } = context;
  const { device, db } = request;
  const token = childOf(body, dav('sync-token'))?.text.trim() ?? '';
  const done = [element(dav('sync-token'), text(view.token))];
  if (token === '') {
    const all = [...view.byUid.values()];
    if (!context.isDirectory) await endAliases(request);
    const whole = multistatus(await serve(context, all), done);
    return { ...whole, served: context.wish ? all.length : 0 };
  }
  if (token === view.token) return multistatus([], done);
  if (context.isDirectory) return syncDirectory(context, token, done);
  const since = seqOf(token);
  if (since === undefined || since > view.seq || since < device.since)
    throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const changed = [...(await changedSince(db, since)).keys()];
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
  const here = [...concerned].flatMap((uid) => view.byUid.get(uid) ?? []);
  // Only what the device has been told of is told to be gone: the address of any other card is none of its business.
  const told = await seenBefore(
    context,
    since,
    [...concerned].filter((uid) => !view.byUid.has(uid) && !hrefs.has(uid)),
  );
  const gone = new Set(
    [...concerned].flatMap((uid) => {
      if (view.byUid.has(uid)) return [];
      return hrefs.get(uid) ?? (told.has(uid) ? hrefFor(uid) : []);
    }),
  );
  const joined = await db
    .selectFrom('gone')
    .select('href')
    .where('device', '=', device.id)
    .where('seq', '>', since)
    .execute();
  for (const { href } of joined) if (!view.byHref.has(href)) gone.add(href);
  await endAliases(request);
  return answerSync(context, { here, gone, done });
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

async function answerSync(
  context: ReportContext,
  {
    here,
    gone,
    done,
  }: { readonly here: readonly SeenCard[]; readonly gone: Iterable<string>; readonly done: Xml[] },
): Promise<DavAnswer> {
  const base = pathIn(context);
  const left = [...gone].map((href) => statusOf(base + encodeURIComponent(href), '404 Not Found'));
  const answer = multistatus([...(await serve(context, here)), ...left], done);
  return { ...answer, served: context.wish ? here.length : 0 };
}

async function syncDirectory(context: ReportContext, token: string, done: Xml[]): Promise<DavAnswer> {
  const { request, view } = context;
  const today = request.now.slice(0, 10);
  const changed = await directoryChanges(request.db, { token, seq: view.seq, today });
  if (!changed) throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  const here = [...changed].flatMap((uid) => view.byUid.get(uid) ?? []);
  const gone = [...changed].flatMap((uid) => (view.byUid.has(uid) ? [] : hrefFor(uid)));
  return answerSync(context, { here, gone, done });
}

function pathIn({ request, isDirectory }: ReportContext): string {
  return bookPath(request.device.user, isDirectory);
}
