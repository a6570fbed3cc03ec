import { parsePhone } from '@/core/card';

import { countryOf, isSupportedRegion } from './countries';
import { countryByLanguage } from './languages';
import { countryOfTownLine, POSTCODE_FIGURES, PREFIX_COUNTRIES } from './postcodes';
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
    byWriting(plain, country) ??
    byTownLine(lines) ??
    byNumberForm(plain) ??
    byLanguage(plain, lines, country) ??
    country ??
    (/\b\d{3} \d{2} \p{Lu}\p{Ll}/u.test(plain) ? 'SE' : undefined)
  );
}

/** Numbers grouped as one country alone does it; common practice. */
function byNumberForm(plain: string): string | undefined {
  if (/\(\d{3}\) ?\d{3}[-. ]\d{4}\b/.test(plain)) return 'US';
  if (/(?<!\d)\(\d\d\) ?9?\d{4}-\d{4}\b/.test(plain)) return 'BR';
  if (/(?<![\d+])0\d{1,3}-\d{2,3} \d\d \d\d\b/.test(plain)) return 'SE';
  return undefined;
}

/** The country of the language; where the postcode has another count of figures, another one that speaks it. */
function byLanguage(
  plain: string,
  lines: readonly TextLine[],
  reader: string | undefined,
): string | undefined {
  // The closing words above a signature are no part of its lines.
  const found =
    countryByLanguage(lines.map(({ text }) => text).join('\n'), reader) ?? countryByLanguage(plain, reader);
  const figures = /(?:^|[\n,;|] ?)(\d{4,5}) \p{Lu}\p{Ll}/u.exec(plain)?.[1]?.length;
  if (found === undefined || figures === undefined || figures === (POSTCODE_FIGURES[found] ?? figures))
    return found;
  const isSwiss = /(?<!\d)0\d\d \d{3} \d\d \d\d\b|strasse\b/.test(plain);
  if (found === 'DE' && figures === 4) return isSwiss ? 'CH' : 'AT';
  if (found === 'FR' && figures === 4) return isSwiss ? 'CH' : 'BE';
  return found === 'IT' && figures === 4 ? 'CH' : found;
}

/** A country's name alone, at the end of a line, or its sign before a postcode. */
function nationOf(text: string): string | undefined {
  const sign = /^([A-Z]{1,3})-\d{3,5}\b/.exec(text)?.[1];
  if (sign !== undefined && PREFIX_COUNTRIES[sign] !== undefined) return PREFIX_COUNTRIES[sign];
  if (text.length < 4 && !/^(?:UK|USA)$/.test(text)) return undefined;
  const last = /[\p{L}.]+$/u.exec(text)?.[0] ?? '';
  return countryOf(text) ?? (/\d/.test(text) && last.length > 3 ? countryOf(last) : undefined);
}

/** Scripts that are at home in one country; elsewhere the reader's is taken where it is one of those beside it. */
const SCRIPTS: readonly (readonly [script: RegExp, countries: readonly string[]])[] = [
  [/\p{Script=Hangul}/u, ['KR']],
  [/\p{Script=Greek}{3}/u, ['GR', 'CY']],
  [/\p{Script=Hebrew}/u, ['IL']],
  [/\p{Script=Thai}/u, ['TH']],
  [/\p{Script=Georgian}/u, ['GE']],
  [/\p{Script=Armenian}/u, ['AM']],
  // Letters of Cyrillic that Russian hasn't.
  [/[ґєії]/iu, ['UA']],
  [/\p{Script=Cyrillic}{3}/u, ['RU', 'KZ', 'BY', 'UA', 'BG', 'RS', 'KG']],
  // Latin letters with marks that only Vietnamese has.
  [/[ơưạảấầẩậắằặẹẻếềểệỉịọỏốồổộớờởợụủứừửựỵỷ]/iu, ['VN']],
];

/** Kana are Japan's, some words in Chinese characters are of Taiwan and Hong Kong; a postcode may be of one country's form only. */
function byWriting(plain: string, reader: string | undefined): string | undefined {
  const found = SCRIPTS.find(([script]) => script.test(plain));
  if (found) return reader !== undefined && found[1].includes(reader) ? reader : found[1][0];
  if (/[\p{Script=Hiragana}\p{Script=Katakana}]|〒|[都道府県]\p{Script=Han}{0,4}[市区]|株式/u.test(plain))
    return 'JP';
  if (/\p{Script=Han}{2}/u.test(plain) && ['TW', 'HK', 'MO', 'SG'].includes(reader ?? '')) return reader;
  if (/經理|傳真|手機|分機|統一編號|臺/.test(plain)) return 'TW';
  if (/電話|携帯|会社|編集|直通|[部課係]長(?!官)|(?<!\d)0\d{1,3}-\d{2,4}-\d{4}\b/.test(plain)) return 'JP';
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
