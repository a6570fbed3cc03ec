import { countryCodes, foldText } from '@/core/base';

/** The languages in which countries are recognised: those the rules know, and those of many countries' own names. */
const LOCALES =
  'en de fr es it nl pl pt sv ja zh zh-Hant da nb fi cs sk hu ro el tr ru uk ko hr sl et lv lt is ca'.split(
    ' ',
  );

/** Names that CLDR doesn't have, from memory. */
const ALSO: Readonly<Record<string, string>> = {
  ...{ uk: 'GB', 'u.k.': 'GB', england: 'GB', scotland: 'GB', wales: 'GB', 'northern ireland': 'GB' },
  ...{ 'great britain': 'GB', usa: 'US', 'u.s.a.': 'US', 'united states of america': 'US', us: 'US' },
  ...{ 'the netherlands': 'NL', holland: 'NL', 'republic of ireland': 'IE', eire: 'IE', 'p.r. china': 'CN' },
  ...{
    'p. r. china': 'CN',
    'pr china': 'CN',
    'peoples republic of china': 'CN',
    中华人民共和国: 'CN',
    日本国: 'JP',
  },
  ...{
    'czech republic': 'CZ',
    brd: 'DE',
    schweiz: 'CH',
    suisse: 'CH',
    svizzera: 'CH',
    uae: 'AE',
    'pays-bas': 'NL',
  },
};

let names: ReadonlyMap<string, string> | undefined;

/** ISO 3166-1 alpha-2 of a country written in one of many languages; undefined for another text. */
export function countryOf(text: string): string | undefined {
  names ??= readNames();
  const folded = foldText(text.trim().replace(/[.。]$/, ''));
  return folded.length < 2 ? undefined : (names.get(folded) ?? names.get(`${folded}.`));
}

/** Whether two letters are the code of a country. */
export function isSupportedRegion(code: string): boolean {
  names ??= readNames();
  return regions.has(code) || code === 'UK';
}

const regions = new Set<string>();

function readNames(): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const locale of LOCALES) {
    const list = new Intl.DisplayNames(locale, { type: 'region', fallback: 'none' });
    for (const code of countryCodes()) {
      const name = list.of(code);
      if (name === undefined || ['EU', 'EZ', 'UN', 'XA', 'XB', 'ZZ', 'QO'].includes(code)) continue;
      regions.add(code);
      const folded = foldText(name);
      if (!found.has(folded)) found.set(folded, code);
    }
  }
  for (const [name, code] of Object.entries(ALSO)) found.set(foldText(name), code);
  return found;
}
