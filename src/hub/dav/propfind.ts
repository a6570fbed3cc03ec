import { childOf, inBatches, readXml, type XmlElement } from '@/core/base';
import { breathe } from '@/hub/base';
import { cardAt, type DeviceView, directoryView, viewOf } from '@/hub/sync';

import { DavError } from './davError';
import { type DavAnswer, type DavRequest, depthOf, type Resource } from './davRequest';
import { areOfText, asTheyAre, formed, type SeenForm } from './forms';
import { answersAlike, multistatus, multistatusInPieces, responseOf } from './multistatus';
import { dav } from './names';
import { PIECE } from './pieces';
import { ALL_PROPERTIES, PROPERTIES, type PropertySource } from './properties';
import { viewFor } from './viewFor';
import type { Xml } from './writeXml';

/** PROPFIND (RFC 4918 §9.1), depth 0 and 1; without a body all properties are meant. */
export async function propfind(request: DavRequest, resource: Resource): Promise<DavAnswer> {
  // RFC 4918 §9.1: without a Depth header an infinite one is meant.
  const depth = depthOf(request) ?? 'infinity';
  if (depth === 'infinity') throw new DavError(403, 'only depth 0 and 1', dav('propfind-finite-depth'));
  if (depth !== '0' && depth !== '1') throw new DavError(400, 'the depth is 0 or 1');
  const body = request.body.trim() === '' ? undefined : readBody(request.body);
  const { names, isNames } = readAsked(body);
  const view = await viewFor(request, resource);
  const base = { request, view };
  const own: PropertySource = { ...base, resource, ...(await seenOf(request, resource, view, names)) };
  if (resource.kind === 'card' && !own.seen) throw new DavError(404, 'there is no such card');
  const responses: Xml[] = [responseOf(own, names, isNames)];
  if (depth === '1') {
    if (resource.kind === 'root')
      responses.push(responseOf({ ...base, resource: { kind: 'principal' } }, names, isNames));
    if (resource.kind === 'home')
      for (const book of await booksOf(request))
        responses.push(responseOf({ ...base, ...book }, names, isNames));
    if (resource.kind === 'book') {
      const { isDirectory = false } = resource;
      const isOfText = !isNames && areOfText(names);
      const one = isOfText
        ? (seen: SeenForm) =>
            responseOf({ ...base, seen, resource: { kind: 'card', href: seen.href, isDirectory } }, names)
        : answersAlike(base, isDirectory, names, isNames);
      return multistatusInPieces(after(responses, listed(request, view, isNames ? [] : names), one));
    }
  }
  return multistatus(responses);
}

/** Which properties are asked for (RFC 4918 §14.20). */
function readAsked(body: XmlElement | undefined): { names: readonly string[]; isNames: boolean } {
  if (!body) return { names: ALL_PROPERTIES, isNames: false };
  if (body.name !== dav('propfind')) throw new DavError(400, 'a propfind was expected');
  const named = namesIn(childOf(body, dav('prop')));
  if (named) return { names: named, isNames: false };
  if (childOf(body, dav('propname'))) return { names: Object.keys(PROPERTIES), isNames: true };
  if (!childOf(body, dav('allprop'))) throw new DavError(400, 'no property was named');
  const more = namesIn(childOf(body, dav('include'))) ?? [];
  return { names: [...new Set([...ALL_PROPERTIES, ...more])], isNames: false };
}

/** The answers for cards after some others, made piece by piece while they are sent. */
async function* after(
  first: readonly Xml[],
  pieces: AsyncIterable<readonly SeenForm[]>,
  one: (seen: SeenForm) => Xml,
): AsyncGenerator<readonly Xml[]> {
  yield first;
  for await (const piece of pieces) yield piece.map(one);
}

/** The collections of a device: its cards, and the common directory where its passport has that. */
async function booksOf(request: DavRequest): Promise<Pick<PropertySource, 'resource' | 'view'>[]> {
  const { db, device, now } = request;
  const directory = await directoryView(db, device, now.slice(0, 10));
  return [
    { resource: { kind: 'book' }, view: await viewOf(db, device) },
    ...(directory ? [{ resource: { kind: 'book', isDirectory: true } as const, view: directory }] : []),
  ];
}

/** The cards of a collection in pieces, with their texts where a requested property depends on them. */
async function* listed(
  request: DavRequest,
  view: DeviceView,
  names: readonly string[],
): AsyncGenerator<readonly SeenForm[]> {
  const isOfText = areOfText(names);
  for await (const some of view.heads())
    for (const piece of isOfText ? inBatches(some, PIECE) : [some]) {
      await breathe();
      yield isOfText ? await formed(request, await asTheyAre(view, piece), names) : piece;
    }
}

async function seenOf(
  request: DavRequest,
  resource: Resource,
  view: DeviceView,
  names: readonly string[],
): Promise<Pick<PropertySource, 'seen'>> {
  const card = resource.kind === 'card' ? await cardAt(view, resource.href) : undefined;
  if (!card || !areOfText(names)) return card ? { seen: card } : {};
  const [seen] = await formed(request, [card], names);
  return seen ? { seen } : {};
}

/** The body of a request. @throws DavError 400 where it is no XML */
export function readBody(body: string): XmlElement {
  try {
    return readXml(body);
  } catch (error) {
    throw new DavError(400, error instanceof Error ? error.message : 'the body is no XML');
  }
}

/** The names of the properties asked for; undefined where there is no list of them. */
export function namesIn(prop: XmlElement | undefined): string[] | undefined {
  return prop?.children.map(({ name }) => name);
}
