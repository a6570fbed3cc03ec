import { parsePhone } from '@/core/card';

import { countryOf, isSupportedRegion } from './countries';
import { countryByLanguage } from './languages';
import { countryOfTownLine, PREFIX_COUNTRIES } from './postcodes';
import type { TextSpan } from './spans';
import type { TextLine } from './textLines';

/** Country domains that are used far outside their country. */
const ANYWHERE = new Set('io me tv co ai fm app cc ly gg to'.split(' '));

/**
 * The country by whose habits numbers and postcodes are read: one that the text names, else that of a number with its
 * code, else that of a domain, else that of the script, else where the reader is.
 *
 * @returns ISO 3166-1 alpha-2; undefined where nothing tells
 */
export function homeOf(
  plain: string,
  lines: readonly TextLine[],
  reach: readonly TextSpan[],
  country: string | undefined,
): string | undefined {
  const named = lines.flatMap(({ segments }) => segments.flatMap(({ text }) => nationOf(text) ?? []));
  if (named[0] !== undefined) return named[0];
  const abroad = /(?:\+|\b00)[1-9][\d ().\-/]{6,20}\d/.exec(lines.map(({ text }) => text).join('\n'))?.[0];
  const byNumber = abroad === undefined ? undefined : parsePhone(abroad.replace(/\(0\)/, ''))?.country;
  if (byNumber !== undefined) return byNumber;
  const ends = reach.flatMap(({ start, end, field }) =>
    field === 'mail' || field === 'link'
      ? (/\.([a-z]{2})(?:[/:?#].*)?$/i.exec(plain.slice(start, end))?.[1] ?? [])
      : [],
  );
  const end = ends.find((one) => !ANYWHERE.has(one.toLowerCase()) && isSupportedRegion(one.toUpperCase()));
  if (end !== undefined) return end.toLowerCase() === 'uk' ? 'GB' : end.toUpperCase();
  return (
    byWriting(plain) ??
    byTownLine(lines) ??
    countryByLanguage(lines.map(({ text }) => text).join('\n'), country) ??
    country ??
    (/\b\d{3} \d{2} \p{Lu}\p{Ll}/u.test(plain) ? 'SE' : undefined)
  );
}

/** A country's name alone, at the end of a line, or its sign before a postcode. */
function nationOf(text: string): string | undefined {
  const sign = /^([A-Z]{1,3})-\d{3,5}\b/.exec(text)?.[1];
  if (sign !== undefined && PREFIX_COUNTRIES[sign] !== undefined) return PREFIX_COUNTRIES[sign];
  if (text.length < 4 && !/^(?:UK|USA)$/.test(text)) return undefined;
  const last = /[\p{L}.]+$/u.exec(text)?.[0] ?? '';
  return countryOf(text) ?? (/\d/.test(text) && last.length > 3 ? countryOf(last) : undefined);
}

/** Kana are Japan's; a postcode may be of one country's form only. */
function byWriting(plain: string): string | undefined {
  if (/[\p{Script=Hiragana}\p{Script=Katakana}]|〒|[都道府県]\p{Script=Han}{0,4}[市区]/u.test(plain))
    return 'JP';
  if (/電話|携帯|株式|会社/.test(plain)) return 'JP';
  if (/\p{Script=Han}{2}/u.test(plain)) return 'CN';
  return undefined;
}

/** A town with its postcode in a form that one country alone has. */
function byTownLine(lines: readonly TextLine[]): string | undefined {
  for (const { text, segments } of lines)
    for (const piece of [text, ...segments.map((one) => one.text)]) {
      const country = countryOfTownLine(piece);
      if (country !== undefined) return country;
    }
  return undefined;
}
