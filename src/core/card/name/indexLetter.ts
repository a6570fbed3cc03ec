import { foldText } from '@/core/base';

/** The first kana of each row of the syllabary, in order; a name stands in the row its kana sorts into. */
const KANA_ROWS = ['あ', 'か', 'さ', 'た', 'な', 'は', 'ま', 'や', 'ら', 'わ'];

const JAPANESE = new Intl.Collator('ja');

/** Unicode §3.12: a Hangul syllable is its leading consonant times 588 plus the rest, from U+AC00. */
const HANGUL_LEADS = [...'ㄱㄲㄴㄷㄸㄹㅁㅂㅃㅅㅆㅇㅈㅉㅊㅋㅌㅍㅎ'];

/**
 * The letter of the thumb index under which a sorted text stands: its first letter in capitals, without marks
 * where the collator's language counts the marked letter as the same (É under E; Å apart in Swedish).
 *
 * @param collator - of the user's locale, with sensitivity 'base'
 * @returns '#' for digits and signs, 漢 for Han, the row for kana, the leading consonant for Hangul
 */
export function indexLetter(text: string, collator: Intl.Collator): string {
  const first = [...text.normalize('NFC')].find((char) => /[\p{L}\p{N}]/u.test(char));
  if (first === undefined || /\p{N}/u.test(first)) return '#';
  if (/\p{Script=Han}/u.test(first)) return '漢';
  if (/\p{Script=Hangul}/u.test(first)) {
    return HANGUL_LEADS[Math.floor((first.charCodeAt(0) - 0xac00) / 588)] ?? first;
  }
  if (/[\p{Script=Hiragana}\p{Script=Katakana}]/u.test(first)) {
    return KANA_ROWS.findLast((row) => JAPANESE.compare(row, first) <= 0) ?? 'あ';
  }
  const capital = first.toLocaleUpperCase().slice(0, 1);
  // Ø is sorted among O in English and after Z in Danish, Œ as OE in both.
  const plain = foldText(first).toLocaleUpperCase();
  return plain !== '' && collator.compare(plain, capital) === 0 ? plain.slice(0, 1) : capital;
}
