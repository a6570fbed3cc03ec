import { childOf, childrenOf, inBatches, type XmlElement } from '@/core/base';
import { breathe } from '@/hub/base';
import { type DeviceView, type SeenHead, uidsThatMay } from '@/hub/sync';

import { readDataRequest } from './addressData';
import { DavError } from './davError';
import { type DavAnswer, type DavRequest, depthOf, isOfDirectory, type Resource } from './davRequest';
import { multistatusInPieces, statusOf } from './multistatus';
import { card as carddav, dav, MAX_FOUND } from './names';
import { PIECE } from './pieces';
import { namesIn, readBody } from './propfind';
import { matchesFilter, readFilter, wordsOf } from './queryFilter';
import { type Asked, followedBy, isCut, limitIn, pathIn, type ReportContext, serve } from './reportContext';
import { syncCollection } from './syncCollection';
import { viewFor } from './viewFor';

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
      // RFC 6578 §3.2.
      if ((depthOf(request) ?? '0') !== '0') throw new DavError(400, 'a sync has depth 0');
      return syncCollection(context, body);
    default:
      throw new DavError(403, 'that report is not made', dav('supported-report'));
  }
}

function readAsked(body: XmlElement): Asked {
  const prop = childOf(body, dav('prop'));
  const data = childOf(prop, carddav('address-data'));
  const wish = data ? readDataRequest(data) : undefined;
  if (data && !wish)
    throw new DavError(403, 'that kind of address data is not served', carddav('supported-address-data'));
  return { names: namesIn(prop) ?? [dav('getetag')], wish };
}

/** RFC 6352 §8.7. A card that is named again is answered once. */
async function multiget(context: ReportContext, body: XmlElement): Promise<DavAnswer> {
  const paths = [...new Set(childrenOf(body, dav('href')).map((one) => one.text.trim()))];
  const hrefs = paths.map((path) => hrefIn(path, pathIn(context)) ?? '');
  const found = await context.view.headsAt(hrefs);
  const missing = paths.flatMap((path, i) =>
    found.has(hrefs[i] ?? '') ? [] : statusOf(path, '404 Not Found'),
  );
  const heads = [...found.values()];
  return {
    ...multistatusInPieces(followedBy(serve(context, [heads]), () => missing)),
    served: context.wish ? heads.length : 0,
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
  const { request, view } = context;
  const asked = childOf(body, carddav('filter'));
  if (!asked) throw new DavError(400, 'a query has a filter');
  const filter = readFilter(asked);
  // RFC 6352 §8.6: of depth 0 is the collection alone, which is no card. Without a Depth its cards are meant, as clients that leave it out do.
  if (depthOf(request) === '0') return multistatusInPieces(followedBy(serve(context, []), () => []));
  const limit = Math.min(MAX_FOUND, limitIn(body, carddav));
  const found: SeenHead[] = [];
  // What others have, and what is its own alone, is not made ready for queries.
  const isOfBook = !context.isDirectory && request.device.direction !== 'in';
  const uids = isOfBook ? await uidsThatMay(request, wordsOf(filter)) : undefined;
  const pieces = uids ? inBatches(uids, PIECE) : uidsIn(view);
  for await (const piece of pieces) {
    await breathe();
    const seen = [...(await view.ofEach(piece)).values()];
    found.push(...seen.filter(({ card }) => matchesFilter(card, filter)));
    if (found.length > limit) break;
  }
  const rest = found.length > limit ? [isCut(context)] : [];
  const told = found.slice(0, limit);
  return {
    ...multistatusInPieces(followedBy(serve(context, [told]), () => rest)),
    served: context.wish ? told.length : 0,
  };
}

/** All uids of a collection in pieces. */
async function* uidsIn(view: DeviceView): AsyncGenerator<string[]> {
  for await (const some of view.heads())
    for (const piece of inBatches(some, PIECE)) yield piece.map(({ uid }) => uid);
}
