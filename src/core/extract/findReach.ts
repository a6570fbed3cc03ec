import { isSupportedRegion } from './countries';
import { overlapsAny, type TextSpan } from './spans';
import type { TextLine } from './textLines';

const MAIL =
  /(?:mailto:)?([\p{L}\d.!#$%&'*+/=?^_`{|}~-]*[\p{L}\d_+~-](?:@| ?\((?:at|a)\) ?| ?\[(?:at|a)\] ?| @ ?|@ )(?:[\p{L}\d](?:[\p{L}\d-]*[\p{L}\d])?\.)+[\p{L}]{2,24})/giu;
const UNSPACED_BEFORE =
  /^[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}ー]+(?=[\x21-\x7e])/u;
const UNSPACED_BEHIND =
  /(?<=[a-z])[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}ー]+$/iu;
const LINK = /\b(?:https?:\/\/|www\.)[^\s<>"'|,;()，、•·]+[^\s<>"'|,;.:()，、。•·]/giu;
const BARE =
  /(?<![\p{L}\d@._/-])(?:[\p{L}\d](?:[\p{L}\d-]*[\p{L}\d])?\.)+([a-z]{2,12})(?:\/[\w\-./%~?=&#@]*)?(?![\p{L}\d@.])/giu;
/** Generic top-level domains (IANA) that occur on cards. */
const ENDS = new Set(
  'com org net edu gov info biz example eu io app dev art online site shop music berlin wien hamburg koeln paris london amsterdam cat scot wales bzh nu name studio agency'.split(
    ' ',
  ),
);
/** acct: RFC 7565; xmpp: RFC 5122; sip: RFC 3261. */
const ADDRESS_URI = /\b(?:acct|xmpp|sips?|matrix|im):[^\s<>"'|,;]+/giu;
const FEDERATED = /(?<![\p{L}\d])@[\w.-]+@[\w-]+(?:\.[\w-]+)+/giu;
const HANDLE = /(?<![\p{L}\d./])@[\w.]{2,30}\b(?!@)/giu;
const LABEL = /(?:^|[|•·,;\s])([\p{L}][\p{L}\d ]{1,20})\s*[:：]\s*$/u;

/** Finds mail addresses, web addresses and accounts. */
export function findReach(lines: readonly TextLine[]): TextSpan[] {
  return lines.flatMap((line) => {
    const marks: TextSpan[] = [];
    const put = (field: TextSpan['field'], start: number, text: string, more: Partial<TextSpan> = {}) => {
      const mark = { start: line.start + start, end: line.start + start + text.length, field, ...more };
      if (!overlapsAny(mark, marks)) marks.push(mark);
    };
    for (const { 0: uri, index } of line.text.matchAll(ADDRESS_URI)) put('account', index, uri);
    for (const { 0: user, index } of line.text.matchAll(FEDERATED))
      put('account', index, user, serviceBefore(line, index));
    for (const match of line.text.matchAll(MAIL)) {
      const address = match[1] ?? '';
      // Where no space parts words, the sentence goes on at both of its ends: "メールはyamamoto@todai.exampleです".
      const before = UNSPACED_BEFORE.exec(address)?.[0].length ?? 0;
      const behind = UNSPACED_BEHIND.exec(address)?.[0].length ?? 0;
      const own = address.slice(before, address.length - behind);
      put('mail', match.index + match[0].length - address.length + before, own);
    }
    for (const { 0: uri, index } of line.text.matchAll(LINK))
      put(/\/@[\w.]+\/?$/.test(uri) ? 'account' : 'link', index, uri);
    for (const match of line.text.matchAll(BARE))
      if (isHost(match[0], match[1] ?? '')) put('link', match.index, match[0]);
    for (const { 0: user, index } of line.text.matchAll(HANDLE)) {
      const service = serviceBefore(line, index);
      if (service.service !== undefined || line.text === user) put('account', index, user, service);
    }
    return marks;
  });
}

/** A domain written without its scheme; an abbreviation with points, such as "e.V.", is none. */
function isHost(text: string, end: string): boolean {
  const [name = ''] = text.split('.').slice(-2);
  if (name.length < 3 || text !== text.toLowerCase() || /^\d+$/.test(name)) return false;
  return ENDS.has(end) || (end.length === 2 && isSupportedRegion(end.toUpperCase()));
}

function serviceBefore(line: TextLine, index: number): Partial<TextSpan> {
  const service = LABEL.exec(line.text.slice(0, index))?.[1]?.trim();
  return service === undefined ? {} : { service };
}
