import { foldText } from '@/core/base';
import { parsePhone } from '@/core/card';

/** What a reader of pictures takes an at sign for where it stands between two parts of an address. */
const AT = /(?<=[\p{L}\d_.-]{2}) ?(?:[©®€¢]@?|@[©®]?) ?(?=[\p{L}\d-]+(?:\.|,)\s?[\p{L}\d-]{2,})/gu;
const DOTS = /(?<=@[\p{L}\d-]+)(?:[.,]\s?|\s\.\s?)(?=[\p{L}\d-]+)/gu;
const WEB = /^(?:.{0,3}\s)?v?(?:www|vwww|wwww|vvww|wvvw|wwvv)\s?[.,]\s?(?=\p{L})/iu;

/** How a text that was read is mended. */
export interface MendOptions {
  /** ISO 3166-1 alpha-2: by whose plan numbers without a country's code are looked at. */
  readonly country?: string | undefined;
}

/**
 * A text that was read from a picture, as it most likely stands there: addresses of mail and the web without space and with
 * their signs, noughts that were taken for letters or other figures, lines of specks gone.
 */
export function mendReadText(text: string, { country }: MendOptions = {}): string {
  const lines = text
    .split('\n')
    .map((line) => mendLine(line.replace(/\s+/g, ' ').trim()))
    .filter((line) => /[\p{L}\d]{2}/u.test(line));
  const domains = lines.flatMap((line) => /\bwww\.([a-z\d-]+\.[a-z.]{2,})\b/.exec(line)?.[1] ?? []);
  const folded = lines.map((line) => foldText(line));
  const names = new Set(folded.join(' ').match(/\p{L}{2,}/gu));
  const houses = folded.map((line) => line.replace(/[^a-z\d]/g, ''));
  return lines
    .map((line) => mendMail(line, domains, names))
    .map((line) => mendDomain(line, domains, houses))
    .map((line) => mendNumbers(line, country))
    .join('\n');
}

function mendLine(line: string): string {
  const bare = line
    .replace(/^[^\p{L}\d+(@©„“"«]+/u, '')
    .replace(/[|_~=*°\\¦—-]+$/u, '')
    .trim();
  if (WEB.test(bare)) return bare.replace(WEB, 'www.').replace(/\s*([.,])\s*(?=\p{L})/gu, '.');
  return (
    bare
      .replace(AT, '@')
      .replace(DOTS, '.')
      // "©1632 2O 7946": signs and letters within figures.
      .replace(/(?<![\p{L}\d])[©OQD](?=\d[\d ()./-]{4})/gu, '0')
      .replace(/(?<=[+\d][\d ()./-]*)[OoQ](?=[\d ()./-]*\d)/g, '0')
      .replace(/(?<=\d[\d ()./-]*)[lI|](?=[\d ()./-]*\d)/g, '1')
  );
}

/** An address of mail by what else stands on the card: its domain after "www.", and whose name it is. */
function mendMail(line: string, domains: readonly string[], names: ReadonlySet<string>): string {
  if (line.startsWith('www.')) return line;
  const dense = line.replace(/\s/g, '');
  const domain = domains.find(
    (one) => !line.includes('@') && dense.endsWith(one) && dense.length > one.length + 2,
  );
  // The sign before the domain was an at.
  const withAt =
    domain === undefined
      ? // "begonaOlutheria.example": a capital within small letters before a domain.
        line.replace(/(?<=^|\s)([\p{Ll}\d._-]{2,})[OQG9](?=[\p{Ll}\d-]{3,}\.[a-z]{2,})/u, '$1@')
      : `${dense.slice(0, -domain.length - 1)}@${domain}`;
  return withAt
    .replace(/(?<=(?:^|\s)[\p{Ll}\d_-]+)(?: ?\.| ?\. )(?=[\p{Ll}\d._-]+@)/u, '.')
    .replace(/(?<=^|\s)([\p{Ll}]{2,}) ([\p{Ll}]{2,})(?=@)/u, (both, first: string, second: string) =>
      names.has(first) && names.has(second) ? `${first}.${second}` : both,
    );
}

/** Of two domains that look alike the one that says the organisation's name. */
function mendDomain(line: string, domains: readonly string[], houses: readonly string[]): string {
  return line.replace(/(?<=@|www\.)([a-z\d-]+)(?=\.[a-z])/, (own: string) => {
    const isHouse = (name: string) => houses.some((house) => house === name);
    const other = domains
      .map((domain) => domain.split('.')[0] ?? '')
      .find((name) => name !== own && isAlike(name, own));
    return other !== undefined && !isHouse(own) && isHouse(other) ? other : own;
  });
}

/** Whether two words of one length differ in two signs at most. */
function isAlike(one: string, other: string): boolean {
  return one.length === other.length && [...one].filter((sign, i) => sign !== other[i]).length <= 2;
}

/** A slashed nought looks like these. */
const LIKE_NOUGHT = /[869]/;
const NUMBER = /(?<![\d+])\d[\d ().-]{6,}\d(?!\d)/g;
/** Where a number with its area's code begins with a nought (ITU-T E.164 national prefixes; from memory). */
const WITH_NOUGHT = new Set('GB IE DE AT CH FR BE NL LU SE FI HR SI RO BG GR TR AU NZ ZA IL UA'.split(' '));
/** Figures of a number with its area's code, at least. */
const MIN_NATIONAL = 9;

/** A number that can't be one of the country, but would be with a nought for the figure in front. */
function mendNumbers(line: string, country: string | undefined): string {
  if (country === undefined || line.includes('+')) return line;
  return line.replace(NUMBER, (shown) => {
    const isKnown = (number: string) => parsePhone(number, country)?.isValid === true;
    if (isKnown(shown)) return shown;
    // "10 555 7486" in Italy, where a nought belongs to the number and 3 to mobiles.
    if (country === 'IT') return /^[12456789]/.test(shown) && isKnown(`0${shown}`) ? `0${shown}` : shown;
    if (!LIKE_NOUGHT.test(shown.charAt(0))) return shown;
    // "902 99 55": a nought that was read twice.
    const doubled = shown.charAt(1) === '0' && isKnown(shown.slice(1)) ? shown.slice(1) : undefined;
    if (doubled !== undefined) return doubled;
    const mended = `0${shown.slice(1)}`;
    const isNational = WITH_NOUGHT.has(country) && shown.replace(/\D/g, '').length >= MIN_NATIONAL;
    return isNational || isKnown(mended) ? mended : shown;
  });
}
