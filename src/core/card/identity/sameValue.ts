import { foldStrictly, isObject, isSameJson, ownProperty } from '@/core/base';

import { normalizeAddress } from './normalizeAddress';
import { normalizeUri } from './normalizeUri';
import { compareNumbers } from './samePhone';

/**
 * Whether two values at the same place of a card say the same: a number spaced otherwise or without the code of its country, a mail address
 * in capitals, a label in capitals, other white space or line ends are no difference; another spelling of a name is.
 *
 * @param path - of the value in the card, such as phones, p1, number
 * @param countries - ISO 3166-1 alpha-2, by which numbers without a country code are read (`countriesOf`)
 */
export function isSameValue(
  path: readonly string[],
  a: unknown,
  b: unknown,
  countries: readonly string[] = [],
): boolean {
  if (isSameJson(a, b)) return true;
  if (typeof a === 'string' && typeof b === 'string') return isSameText(path, a, b, countries);
  if (Array.isArray(a) && Array.isArray(b))
    return (
      a.length === b.length && a.every((item, i) => isSameValue([...path, String(i)], item, b[i], countries))
    );
  if (!isObject(a) || !isObject(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) =>
    isSameValue([...path, key], ownProperty(a, key), ownProperty(b, key), countries),
  );
}

/** Texts without what programs change of them by themselves. */
function isSameText(path: readonly string[], a: string, b: string, countries: readonly string[]): boolean {
  const [collection = '', , property = ''] = path;
  const means = (keyOf: (text: string) => string) => keyOf(a) === keyOf(b);
  switch (path.length === 3 ? `${collection}/${property}` : '') {
    case 'phones/number':
      // Of two versions of one number the national one is of the country of the other, wherever the book is.
      return [countries, []].some((some) => compareNumbers(a, b, some) !== 'different');
    case 'emails/address':
      return means(normalizeAddress);
    case 'links/uri':
      return means(normalizeUri);
    default:
      return path.length === 3 && property === 'label'
        ? means(foldStrictly)
        : means((text) => text.normalize('NFC').replace(/\s+/g, ' ').trim());
  }
}
