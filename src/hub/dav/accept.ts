import Negotiator from 'negotiator';

import type { DataVersion } from '@/hub/sync';

import { DavError } from './davError';

/** What cards are served as; the first where a client doesn't mind (RFC 6352 §5.1). */
const TYPES: readonly (readonly [string, DataVersion])[] = [
  ['text/vcard;version=3.0', '3.0'],
  ['text/vcard;version=4.0', '4.0'],
];

/** The version that an Accept header asks for, by its quality values (RFC 9110 §12.5.1). @throws DavError 406 where it wants none */
export function versionFor(accept: string | undefined): DataVersion {
  if (accept === undefined || accept.trim() === '') return '3.0';
  const [best] = new Negotiator({ headers: { accept } }).mediaTypes(TYPES.map(([type]) => type));
  const found = TYPES.find(([type]) => type === best);
  if (!found) throw new DavError(406, 'cards are served as text/vcard, version 3.0 or 4.0');
  return found[1];
}
