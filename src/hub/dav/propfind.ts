import { childOf, readXml, type XmlElement } from '@/core/xml';

import { viewOf } from '../passports/deviceView';
import { DavError } from './davError';
import type { DavAnswer, DavRequest, Resource } from './davRequest';
import { multistatus, responseOf } from './multistatus';
import { dav } from './names';
import { ALL_PROPERTIES, PROPERTIES, type PropertySource } from './properties';
import type { Xml } from './writeXml';

/** PROPFIND (RFC 4918 §9.1), depth 0 and 1; without a body all properties are meant. */
export async function propfind(request: DavRequest, resource: Resource): Promise<DavAnswer> {
  const depth = request.header('depth') ?? '0';
  if (depth !== '0' && depth !== '1')
    throw new DavError(403, 'only depth 0 and 1', dav('propfind-finite-depth'));
  const body = request.body.trim() === '' ? undefined : readBody(request.body);
  const isNames = childOf(body, dav('propname')) !== undefined;
  const names = isNames ? Object.keys(PROPERTIES) : (namesIn(childOf(body, dav('prop'))) ?? ALL_PROPERTIES);
  const view = await viewOf(request.db, request.device);
  const base = { request, view };
  const own: PropertySource = { ...base, resource, ...seenOf(resource, view) };
  if (resource.kind === 'card' && !own.seen) throw new DavError(404, 'there is no such card');
  const responses: Xml[] = [responseOf(own, names, isNames)];
  if (depth === '1') {
    if (resource.kind === 'root')
      responses.push(responseOf({ ...base, resource: { kind: 'principal' } }, names, isNames));
    if (resource.kind === 'home')
      responses.push(responseOf({ ...base, resource: { kind: 'book' } }, names, isNames));
    if (resource.kind === 'book')
      for (const seen of view.byUid.values())
        responses.push(
          responseOf({ ...base, seen, resource: { kind: 'card', href: seen.href } }, names, isNames),
        );
  }
  return multistatus(responses);
}

function seenOf(resource: Resource, view: PropertySource['view']): Pick<PropertySource, 'seen'> {
  const seen = resource.kind === 'card' ? view.byHref.get(resource.href) : undefined;
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
