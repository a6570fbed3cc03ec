import { childrenOf, type XmlElement } from '@/core/base';
import type { Card } from '@/core/card';
import { getFormat } from '@/core/formats';

import { card as carddav } from './names';

/** Versions of vCard in which cards are served and taken. */
export type DataVersion = '3.0' | '4.0';

/** How a client wants cards: a version, and perhaps some properties only (RFC 6352 §10.4). */
export interface DataRequest {
  readonly version: DataVersion;
  /** Names in capitals; undefined for all. */
  readonly properties: ReadonlySet<string> | undefined;
}

/** Properties that a vCard can't do without, so that what is sent is one even if they weren't asked for. */
const NEEDED = ['BEGIN', 'VERSION', 'END'];

/** The wish that an address-data element states; undefined for a version or a type that isn't served. */
export function readDataRequest(element: XmlElement): DataRequest | undefined {
  const { 'content-type': type = 'text/vcard', version = '3.0' } = element.attributes;
  if (!/^text\/(?:x-)?vcard$/i.test(type) || (version !== '3.0' && version !== '4.0')) return undefined;
  const names = childrenOf(element, carddav('prop')).map(({ attributes }) =>
    (attributes['name'] ?? '').toUpperCase(),
  );
  return { version, properties: names.length === 0 ? undefined : new Set([...NEEDED, ...names]) };
}

/** A card as a client wants it. */
export function writeData(card: Card, { version, properties }: DataRequest): string {
  const format = getFormat(version === '4.0' ? 'vcard4' : 'vcard3');
  const whole = format?.write([card], { extensions: false }) ?? '';
  if (!properties) return whole;
  return whole
    .split(/\r\n(?![ \t])/)
    .filter((line) => properties.has(/^(?:[^.:;]+\.)?([^:;]+)/.exec(line)?.[1]?.toUpperCase() ?? ''))
    .map((line) => `${line}\r\n`)
    .join('');
}

/** RFC 6352 §5.1: vCard 3.0 where nothing else is asked for. */
export const PLAIN_VERSION_3: DataRequest = { version: '3.0', properties: undefined };

/** A whole card in the newer version, which says the most. */
export const PLAIN_VERSION_4: DataRequest = { version: '4.0', properties: undefined };
