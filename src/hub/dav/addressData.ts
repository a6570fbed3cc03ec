import { childrenOf, type XmlElement } from '@/core/base';
import type { DataVersion } from '@/hub/sync';

import { card as carddav } from './names';

/** The address data that a client asks for: a version, perhaps only some properties (RFC 6352 §10.4). */
export interface DataRequest {
  readonly version: DataVersion;
  /** Names in capitals; undefined for all. */
  readonly properties: ReadonlySet<string> | undefined;
}

/** Properties that a vCard needs to be valid, sent even where they weren't asked for. */
const NEEDED = ['BEGIN', 'VERSION', 'END'];

/** Reads an address-data element; undefined for a version or type that isn't served. */
export function readDataRequest(element: XmlElement): DataRequest | undefined {
  const { 'content-type': type = 'text/vcard', version = '3.0' } = element.attributes;
  if (!/^text\/(?:x-)?vcard$/i.test(type) || (version !== '3.0' && version !== '4.0')) return undefined;
  const names = childrenOf(element, carddav('prop')).map(({ attributes }) =>
    (attributes['name'] ?? '').toUpperCase(),
  );
  return { version, properties: names.length === 0 ? undefined : new Set([...NEEDED, ...names]) };
}

/** Of a card's text the properties that a client asks for. */
export function partOf(whole: string, { properties }: DataRequest): string {
  if (!properties) return whole;
  return whole
    .split(/\r\n(?![ \t])/)
    .filter((line) => properties.has(/^(?:[^.:;]+\.)?([^:;]+)/.exec(line)?.[1]?.toUpperCase() ?? ''))
    .map((line) => `${line}\r\n`)
    .join('');
}

/** RFC 6352 §5.1: vCard 3.0 is the default. */
export const PLAIN_VERSION_3: DataRequest = { version: '3.0', properties: undefined };
