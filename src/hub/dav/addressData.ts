import { childrenOf, type XmlElement } from '@/core/base';
import type { DataVersion } from '@/hub/sync';

import { card as carddav } from './names';

/** The address data that a client asks for: a version, perhaps only some properties (RFC 6352 §10.4). */
export interface DataRequest {
  readonly version: DataVersion;
  /** Names in capitals, of a group where one was named, each with whether its value is wanted too; undefined for all. */
  readonly properties: ReadonlyMap<string, boolean> | undefined;
}

/** Properties that a vCard needs to be valid, sent even where they weren't asked for. */
const NEEDED = ['BEGIN', 'VERSION', 'END'];

/** Reads an address-data element; undefined for a version or type that isn't served. */
export function readDataRequest(element: XmlElement): DataRequest | undefined {
  const { 'content-type': type = 'text/vcard', version = '3.0' } = element.attributes;
  if (!/^text\/(?:x-)?vcard$/i.test(type) || (version !== '3.0' && version !== '4.0')) return undefined;
  const named = childrenOf(element, carddav('prop')).map(({ attributes }): [string, boolean] => [
    (attributes['name'] ?? '').toUpperCase(),
    attributes['novalue']?.toLowerCase() !== 'yes',
  ]);
  const needed = NEEDED.map((name): [string, boolean] => [name, true]);
  return { version, properties: named.length === 0 ? undefined : new Map([...named, ...needed]) };
}

/** Of a card's text the properties that a client asks for; of some only that they are there (RFC 6352 §10.4.2). */
export function partOf(whole: string, { properties }: DataRequest): string {
  if (!properties) return whole;
  return whole
    .split(/\r\n(?![ \t])/)
    .flatMap((line) => {
      const [, group = '', name = ''] =
        /^([^.:;]+\.)?([^:;]+)/.exec(line)?.map((part) => part?.toUpperCase()) ?? [];
      const isWhole = properties.get(name) ?? properties.get(group + name);
      if (isWhole === undefined) return [];
      return `${isWhole ? line : headOf(line)}\r\n`;
    })
    .join('');
}

/** A line without its value: a colon between quotation marks is none that ends the head. */
function headOf(line: string): string {
  return /^(?:"[^"]*"|[^":])*:/.exec(line.replace(/\r\n[ \t]/g, ''))?.[0] ?? line;
}

/** RFC 6352 §5.1: vCard 3.0 is the default. */
export const PLAIN_VERSION_3: DataRequest = { version: '3.0', properties: undefined };
