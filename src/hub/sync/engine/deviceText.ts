import { encodeUtf8 } from '@/core/base';
import type { Card } from '@/core/card';
import { getFormat, type ReadableFormat } from '@/core/formats';

/** Versions of vCard that devices and servers speak. */
export type DataVersion = '3.0' | '4.0';

/** A card in the form in which a device gets it. */
export function writeForDevice(card: Card, version: DataVersion): string {
  return formatOf(version).write([card], { extensions: false });
}

/** The cards in what a device sends. */
export function readFromDevice(text: string, version: DataVersion): ReturnType<ReadableFormat['read']> {
  return formatOf(version).read(encodeUtf8(text));
}

/** The version that a text says it is of; 3.0 where it says none. */
export function versionOf(text: string): DataVersion {
  return /^VERSION:4\.0\s*$/im.test(text) ? '4.0' : '3.0';
}

function formatOf(version: DataVersion): ReadableFormat {
  // Both are readable and writable.
  return getFormat(version === '4.0' ? 'vcard4' : 'vcard3') as ReadableFormat;
}
