import type { TextSpan } from './spans';
import type { TextLine } from './textLines';

const KANA =
  /[\p{Script=Hiragana}\p{Script=Katakana}ー]+(?:[ ・][\p{Script=Hiragana}\p{Script=Katakana}ー]+)?/u;

/** How a name written in Han characters sounds: kana behind it or on the line below or above, of a name's length. */
export function findPhoneticNames(
  text: string,
  lines: readonly TextLine[],
  name: TextSpan | undefined,
): TextSpan[] {
  if (!name || !/^\p{Script=Han}/u.test(text.slice(name.start, name.end))) return [];
  const at = lines.findIndex(({ start, end }) => start <= name.start && name.end <= end);
  for (const line of [lines[at], lines[at + 1], lines[at - 1]]) {
    if (!line) continue;
    const from = line === lines[at] ? name.end : line.start;
    const match = KANA.exec(text.slice(from, line.end));
    if (!match || match[0].length < 3) continue;
    const isAlone = line === lines[at] || match[0].length >= line.text.replace(/[()\s]/g, '').length;
    if (isAlone)
      return [{ start: from + match.index, end: from + match.index + match[0].length, field: 'sounds' }];
  }
  return [];
}
