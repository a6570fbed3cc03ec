import { isObject, isSameJson, ownProperty } from '@/core/base';

import { parsePhone } from '../phone/parsePhone';
import { normalizeAddress } from './normalizeAddress';

/** Collections of which an entry is compared by what it means, and the property that carries it. */
const CARRIERS: Readonly<Record<string, string>> = { phones: 'number', emails: 'address', links: 'uri' };

/**
 * Whether two values at the same place of a card say the same: a number spaced otherwise, a mail address in capitals,
 * other white space or line ends are no difference; another spelling of a name is.
 *
 * @param path - of the value in the card, such as phones, p1, number
 * @param country - ISO 3166-1 alpha-2, for numbers without a country code
 */
export function isSameValue(path: readonly string[], a: unknown, b: unknown, country?: string): boolean {
  if (isSameJson(a, b)) return true;
  if (typeof a === 'string' && typeof b === 'string')
    return plainOf(path, a, country) === plainOf(path, b, country);
  if (Array.isArray(a) && Array.isArray(b))
    return (
      a.length === b.length && a.every((item, i) => isSameValue([...path, String(i)], item, b[i], country))
    );
  if (!isObject(a) || !isObject(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) =>
    isSameValue([...path, key], ownProperty(a, key), ownProperty(b, key), country),
  );
}

/** A text without what programs change of it by themselves. */
function plainOf(path: readonly string[], text: string, country: string | undefined): string {
  const [collection = '', , property] = path;
  const folded = text.normalize('NFC').replace(/\s+/g, ' ').trim();
  if (CARRIERS[collection] !== property) return folded;
  if (collection === 'phones')
    return parsePhone(folded, country)?.e164 ?? folded.replace(/[^\d+*#a-z]/gi, '').toLowerCase();
  return collection === 'emails' ? normalizeAddress(folded) : folded.replace(/\/$/, '');
}
