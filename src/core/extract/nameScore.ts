import { foldText } from '@/core/base';
import { parseName } from '@/core/card';

import { isGivenName } from './givenNames';
import { HAN_SURNAMES } from './whoWords';

const HAN_NAME = /^\p{Script=Han}{1,4}[ ]?[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}々]{1,4}$/u;
const KANA_NAME = /^[\p{Script=Katakana}ー]+[・ ][\p{Script=Katakana}ー]+$/u;
const LOWER_PARTS =
  /^(?:de|del|della|di|da|das|do|dos|du|des|van|von|den|der|ter|ten|zu|zum|zur|la|le|los|las|el|al|bin|ibn|af|av|y|e|i|e|und|and|'t|op|of)$/u;

/**
 * How much a text looks like a person's name: below 0 not at all, from 3 on it may be one.
 *
 * @param locals - folded words of what stands before the @ of the mail addresses nearby
 */
export function nameScore(text: string, locals: readonly string[]): number {
  if (HAN_NAME.test(text) || KANA_NAME.test(text)) return eastAsianScore(text);
  if (isKoreanName(text)) return 4;
  // A nickname stands in brackets or in quotes.
  const bare = text
    .replace(/\([^)]*\)|["“„«][^"”“»]+["”“»]/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (/[\d@&/\\:!?"]/.test(bare) || bare.length > 60) return -5;
  const parts = parseName(bare)?.components ?? [];
  const proper = parts.filter(
    ({ kind }) => kind === 'given' || kind === 'given2' || kind.startsWith('surname'),
  );
  const words = proper.flatMap(({ value }) => value.split(/\s+/));
  if (words.length < 1 || words.length > 6) return -5;
  const isNameWord = (word: string) =>
    /^\p{Lu}[\p{L}.'’-]*$/u.test(word) || LOWER_PARTS.test(word) || /^[\p{Lo}\p{M}]+\.?$/u.test(word);
  if (!words.every(isNameWord) || !words.some((word) => /^[\p{Lu}\p{Lo}]/u.test(word))) return -5;
  const titled = parts.some(({ kind }) => kind === 'title') ? 1.5 : 0;
  const suffixed = parts.some(({ kind }) => kind === 'credential' || kind === 'generation') ? 1 : 0;
  const size = words.length === 1 ? 0 : words.length <= 4 ? 2 : 1;
  // A given name alone may be a firm's: "Rosa".
  const known =
    words.length > 1 && isGivenName(words[0] ?? '')
      ? 2
      : words.length > 1 && isGivenName(words.at(-1) ?? '')
        ? 1
        : 0;
  return size + titled + suffixed + known + localScore(words, locals);
}

/** The words that stand before an @ as well: "a.weber", "aweber", "weber". */
function localScore(words: readonly string[], locals: readonly string[]): number {
  const folded = words
    .map((word) => foldText(word).replace(/[^\p{L}]/gu, ''))
    .filter((word) => word.length > 1);
  const spelt = folded.flatMap((word) => [word, word.replace(/ae|oe|ue/g, (two) => two.charAt(0))]);
  const hits = spelt.filter((word) =>
    locals.some(
      (local) =>
        local === word ||
        (word.length > 3 && local.includes(word)) ||
        (local.length > 3 && word.startsWith(local)),
    ),
  );
  return hits.length === 0 ? 0 : hits.length > 1 ? 4 : 3;
}

const KOREAN_SURNAMES = new Set([
  ...'김이박최정강조윤장임한오서신권황안송류유전홍고문양손배백허남심노하곽성차주우구민진지엄채원천방공현함변염여추도소석선설마길연위표명기반왕',
]);

/** "이서연": a surname of one syllable and a known given name. */
export function isKoreanName(text: string): boolean {
  return (
    /^\p{Script=Hangul}{3}$/u.test(text) && KOREAN_SURNAMES.has(text.charAt(0)) && isGivenName(text.slice(1))
  );
}

function eastAsianScore(text: string): number {
  const [first = '', second] = text.split(' ');
  const isChinese = HAN_SURNAMES.has(first.charAt(0)) && text.replace(' ', '').length <= 4;
  return 4.5 + (second === undefined ? 0 : 2) + (isChinese ? 1.5 : 0) + (KANA_NAME.test(text) ? 0.5 : 0);
}
