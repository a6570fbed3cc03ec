import { overlapsAny, type TextSpan } from './spans';
import type { TextLine } from './textLines';

/** Prefecture, city or ward, and the rest: Japan's addresses go from the large to the small. */
const JAPAN =
  /(?:〒\s*)?(?:(?<postcode>\d{3}-\d{4})\s*)?(?<region>東京都|北海道|(?:京都|大阪)府|\p{Script=Han}{2,3}県)\s*(?<town>\p{Script=Han}{1,5}?郡\p{Script=Han}{1,5}?[町村]|[\p{Script=Han}\p{Script=Katakana}\p{Script=Hiragana}]{1,6}?市(?:\p{Script=Han}{1,3}?区)?|\p{Script=Han}{1,4}?区)?\s*(?<street>.*)/u;
/** A large city is written without its prefecture; the postcode then says that it is Japan's. */
const JAPAN_CITY =
  /〒?\s*(?<postcode>\d{3}-\d{4})\s*(?<town>\p{Script=Han}{1,5}?市(?:\p{Script=Han}{1,3}?区)?|\p{Script=Han}{1,4}?区)\s*(?<street>.*)/u;
const JAPAN_CODE = /^〒?\s*(?<postcode>\d{3}-\d{4})$/u;
/** Province, city, district, and the rest: China's. */
const CHINA =
  /(?:(?<before>\d{6})\s*)?(?:中国\s*)?(?<region>\p{Script=Han}{2,3}省|\p{Script=Han}{2,8}自治区)?\s*(?<town>\p{Script=Han}{2,4}?市)\s*(?<street>\p{Script=Han}*[区县路街道镇号巷弄].*)/u;
const CHINA_CODE = /(?:(?:邮编|邮政编码|郵遞區號|P\.?C\.?)\s*:?\s*|号\S{0,12}\s+)(?<postcode>\d{6})(?!\d)/u;

/** Finds addresses written in Japanese or Chinese. */
export function findEastAsianAddresses(lines: readonly TextLine[], taken: readonly TextSpan[]): TextSpan[] {
  const marks: TextSpan[] = [];
  for (const [at, line] of lines.entries()) {
    const isFree = !overlapsAny(line, taken);
    const code = CHINA_CODE.exec(line.text) ?? JAPAN_CODE.exec(line.text);
    if (code) put(marks, line, code, ['postcode']);
    const match = isFree
      ? (JAPAN.exec(line.text) ?? JAPAN_CITY.exec(line.text) ?? CHINA.exec(line.text))
      : undefined;
    if (!match?.groups) continue;
    const tail = match.groups['street'] ?? '';
    const end = tailEnd(tail);
    put(marks, line, match, ['postcode', 'before', 'region', 'town']);
    const streetAt = line.start + match.index + match[0].length - tail.length;
    const house = /\s+(\S*(?:ビル|館|棟|タワー|マンション|大厦)\S*)$/u.exec(tail.slice(0, end));
    const streetEnd = house ? house.index : end;
    if (streetEnd > 0) marks.push({ start: streetAt, end: streetAt + streetEnd, field: 'street' });
    if (house)
      marks.push({ start: streetAt + end - (house[1] ?? '').length, end: streetAt + end, field: 'building' });
    const next = lines[at + 1];
    if (next && /^[\p{L}\d・ー]*(?:ビル|館|棟|階|号室|大厦|楼|室)[\p{L}\d ]*$/u.test(next.text))
      marks.push({ start: next.start, end: next.end, field: 'building' });
  }
  return marks;
}

/** The rest of the line up to what is no longer the address: a label, a code in brackets. */
function tailEnd(tail: string): number {
  const cut = tail.search(/\s*(?:[|,;(]|邮编|邮政编码|\s\d{6}(?!\d)|\s(?:tel|fax|電話|电话|t\b))/iu);
  return (cut < 0 ? tail : tail.slice(0, cut)).trimEnd().length;
}

function put(marks: TextSpan[], line: TextLine, match: RegExpExecArray, groups: readonly string[]): void {
  let from = match.index;
  for (const group of groups) {
    const value = match.groups?.[group];
    if (value === undefined || value === '') continue;
    const at = line.text.indexOf(value, from);
    const field = group === 'before' ? 'postcode' : (group as 'postcode' | 'region' | 'town');
    marks.push({ start: line.start + at, end: line.start + at + value.length, field });
    from = at + value.length;
  }
}
