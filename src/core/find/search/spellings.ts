import anyAscii from 'any-ascii';

import { foldedWords } from '@/core/base';

/** Scripts whose names are written in Latin letters letter by letter, so that either spelling may be typed. */
const SPELT_OUT = /[\p{Script=Cyrillic}\p{Script=Greek}\p{Script=Hangul}]/u;
const HANGUL = /\p{Script=Hangul}+/gu;

/** Whether a text has words of which there are Latin spellings. */
export function isSpeltOut(text: string): boolean {
  return SPELT_OUT.test(text);
}

/** Korean surnames as their bearers write them, by the Revised Romanization (common practice; from memory). */
const SURNAMES: Readonly<Record<string, readonly string[]>> = {
  ...{
    gim: ['kim'],
    i: ['lee', 'yi', 'rhee'],
    bak: ['park', 'pak'],
    choe: ['choi'],
    jeong: ['jung', 'chung'],
  },
  ...{ gang: ['kang'], jo: ['cho'], yun: ['yoon'], im: ['lim'], sin: ['shin'], no: ['roh'], gwon: ['kwon'] },
  ...{
    u: ['woo'],
    mun: ['moon'],
    seo: ['suh'],
    o: ['oh'],
    an: ['ahn'],
    yu: ['yoo'],
    gu: ['koo'],
    jeon: ['jun'],
  },
};

/** Other ways to write what the usual romanisations of Cyrillic give (common practice; from memory). */
const WAYS: readonly (readonly [RegExp, string])[] = [
  [/kh/g, 'h'],
  [/(?:iy|yy|ij)$/g, 'y'],
  [/(?:iy|yy|ij)$/g, 'i'],
  [/ya/g, 'ia'],
  [/yu/g, 'iu'],
  [/ts/g, 'c'],
  [/shch/g, 'sch'],
  [/g/g, 'h'],
];

/**
 * The Latin spellings of the words of a text in Cyrillic, Greek or Hangul, folded: letter by letter (Unicode CLDR's and the usual
 * romanisations as any-ascii has them), and as they are commonly written else.
 */
export function latinSpellings(text: string): string[] {
  const all = new Set<string>();
  for (const word of text.normalize('NFC').match(/[\p{L}\p{M}]+/gu) ?? []) {
    if (!SPELT_OUT.test(word)) continue;
    const plain = anyAscii(word)
      .toLowerCase()
      .replace(/[^a-z]/g, '');
    if (plain === '') continue;
    all.add(plain);
    if (/\p{Script=Cyrillic}/u.test(word)) for (const [from, to] of WAYS) all.add(plain.replace(from, to));
    const [first = '', ...rest] = [...(word.match(HANGUL)?.[0] ?? '')];
    if (first === '') continue;
    const family = anyAscii(first).toLowerCase();
    const given = anyAscii(rest.join('')).toLowerCase();
    // A name in one run begins with the surname, and the rest may be typed alone.
    if (given !== '') all.add(given);
    for (const surname of [family, ...(SURNAMES[family] ?? [])]) all.add(surname);
  }
  return [...all];
}

/** Scripts whose names are as often written with a space between surname and given name as without. */
const RUN = /^[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}ー々]+$/u;

/** Words of such a name as one, and each Hangul syllable that a given name may begin with. */
export function joinedAndDivided(text: string): string[] {
  const parts = text.normalize('NFC').trim().split(/\s+/);
  const all: string[] = [];
  if (parts.length > 1 && parts.length < 4 && parts.every((part) => RUN.test(part))) all.push(parts.join(''));
  for (const run of text.normalize('NFC').match(HANGUL) ?? []) {
    const syllables = [...run];
    for (const at of [1, 2])
      if (syllables.length > at && syllables.length < 6) all.push(syllables.slice(at).join(''));
  }
  return all.flatMap((word) => foldedWords(word));
}
