import { childOf, childrenOf, type XmlElement } from '@/core/xml';

import { type DeviceView, hrefFor, type SeenCard, viewOf } from '../passports/deviceView';
import { listsOf } from '../passports/passports';
import { changedSince } from '../store/cards';
import { readWish } from './addressData';
import { DavError } from './davError';
import type { DavAnswer, DavRequest, Resource } from './davRequest';
import { multistatus, responseOf, statusOf } from './multistatus';
import { bookPath, card as carddav, dav } from './names';
import type { PropertySource } from './properties';
import { namesIn, readBody } from './propfind';
import { matchesFilter, readFilter } from './queryFilter';
import { rememberServed } from './rememberServed';
import { seqOf, syncTokenOf } from './syncToken';
import { element, text, type Xml } from './writeXml';

/** REPORT (RFC 3253 §3.6): addressbook-multiget, addressbook-query, sync-collection. */
export async function report(request: DavRequest, resource: Resource): Promise<DavAnswer> {
  const body = readBody(request.body);
  if (resource.kind !== 'book') throw new DavError(403, 'no report is made here', dav('supported-report'));
  const view = await viewOf(request.db, request.device);
  const asked = readAsked(body);
  const tell: Tell = { request, view, ...asked };
  switch (body.name) {
    case carddav('addressbook-multiget'):
      return multiget(tell, body);
    case carddav('addressbook-query'):
      return query(tell, body);
    case dav('sync-collection'):
      return syncCollection(tell, body);
    default:
      throw new DavError(403, 'that report is not made', dav('supported-report'));
  }
}

interface Asked {
  readonly names: readonly string[];
  readonly wish: PropertySource['wish'];
}

interface Tell extends Asked {
  readonly request: DavRequest;
  readonly view: DeviceView;
}

function readAsked(body: XmlElement): Asked {
  const prop = childOf(body, dav('prop'));
  const data = childOf(prop, carddav('address-data'));
  const wish = data ? readWish(data) : undefined;
  if (data && !wish)
    throw new DavError(403, 'that kind of address data is not served', carddav('supported-address-data'));
  return { names: namesIn(prop) ?? [dav('getetag')], wish };
}

function tellOf({ request, view, wish, names }: Tell, seen: SeenCard): Xml {
  return responseOf({ request, view, wish, seen, resource: { kind: 'card', href: seen.href } }, names);
}

/** RFC 6352 §8.7. */
async function multiget(tell: Tell, body: XmlElement): Promise<DavAnswer> {
  const { view, request } = tell;
  const served: SeenCard[] = [];
  const responses = childrenOf(body, dav('href')).map((one) => {
    const path = one.text.trim();
    const seen = view.byHref.get(hrefIn(path, request.device.user) ?? '');
    if (!seen) return statusOf(path, '404 Not Found');
    served.push(seen);
    return tellOf(tell, seen);
  });
  if (!tell.wish) return multistatus(responses);
  await rememberServed(request, served);
  return { ...multistatus(responses), served: served.length };
}

/** The last part of a card's address, which may be a whole URL; undefined for the address of something else. */
function hrefIn(path: string, user: string): string | undefined {
  const bare = path.replace(/^https?:\/\/[^/]+/i, '');
  try {
    const decoded = decodeURIComponent(bare);
    const base = bookPath(user);
    return decoded.startsWith(base) ? decoded.slice(base.length) : undefined;
  } catch {
    return undefined;
  }
}

/** RFC 6352 §8.6. */
async function query(tell: Tell, body: XmlElement): Promise<DavAnswer> {
  const filter = readFilter(childOf(body, carddav('filter')));
  const limit = Number(childOf(childOf(body, carddav('limit')), carddav('nresults'))?.text ?? Infinity);
  const found: SeenCard[] = [];
  let isCut = false;
  for (const seen of tell.view.byUid.values()) {
    if (!matchesFilter(seen.card, filter)) continue;
    isCut = found.length >= limit;
    if (isCut) break;
    found.push(seen);
  }
  if (tell.wish) await rememberServed(tell.request, found);
  const rest = isCut
    ? [
        statusOf(bookPath(tell.request.device.user), '507 Insufficient Storage', [
          element(dav('error'), element(dav('number-of-matches-within-limits'))),
        ]),
      ]
    : [];
  return {
    ...multistatus([...found.map((seen) => tellOf(tell, seen)), ...rest]),
    served: tell.wish ? found.length : 0,
  };
}

/** RFC 6578 §3: what has come, changed or gone since a token; without one, everything. */
async function syncCollection(tell: Tell, body: XmlElement): Promise<DavAnswer> {
  const { request, view } = tell;
  const { device, db } = request;
  const token = childOf(body, dav('sync-token'))?.text.trim() ?? '';
  const done = [element(dav('sync-token'), text(syncTokenOf(view.seq)))];
  if (token === '') {
    const all = [...view.byUid.values()];
    if (tell.wish) await rememberServed(request, all);
    const whole = multistatus(
      all.map((seen) => tellOf(tell, seen)),
      done,
    );
    return { ...whole, served: tell.wish ? all.length : 0 };
  }
  const since = seqOf(token);
  if (since === undefined || since > view.seq || since < device.since)
    throw new DavError(403, 'the token is not known, or too old', dav('valid-sync-token'));
  if (since === view.seq) return multistatus([], done);
  const changed = [...(await changedSince(db, since)).keys()];
  const memory = await db
    .selectFrom('memory')
    .select(['uid', 'href'])
    .where('device', '=', device.id)
    .execute();
  const hrefs = new Map(memory.map(({ uid, href }) => [uid, href]));
  // Who is on a list is said by the list's own card: whoever has come or gone hasn't changed.
  const isList = listsOf(device).some((list) => changed.includes(list));
  const concerned = new Set([...changed, ...(isList ? [...view.byUid.keys(), ...hrefs.keys()] : [])]);
  const here = [...concerned].flatMap((uid) => view.byUid.get(uid) ?? []);
  const gone = new Set(
    [...concerned].flatMap((uid) => (view.byUid.get(uid) ? [] : (hrefs.get(uid) ?? hrefFor(uid)))),
  );
  const joined = await db
    .selectFrom('gone')
    .select('href')
    .where('device', '=', device.id)
    .where('seq', '>', since)
    .execute();
  for (const { href } of joined) if (!view.byHref.has(href)) gone.add(href);
  if (tell.wish) await rememberServed(request, here);
  const base = bookPath(device.user);
  const answer = multistatus(
    [
      ...here.map((seen) => tellOf(tell, seen)),
      ...[...gone].map((href) => statusOf(base + encodeURIComponent(href), '404 Not Found')),
    ],
    done,
  );
  return { ...answer, served: tell.wish ? here.length : 0 };
}
