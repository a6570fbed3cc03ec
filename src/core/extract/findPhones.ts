import { foldText } from '@/core/base';
import { parsePhone } from '@/core/card';

import { REGISTRY } from './mailWords';
import { EXTENSION, type PhoneWord, phoneWordWithin } from './phoneWords';
import { overlapsAny, type TextRange, type TextSpan } from './spans';
import type { TextLine } from './textLines';

const BEHIND = new RegExp(`(?:ext|x|${EXTENSION}).*$`, 'iu');

/** Figures with what stands between figures of a number; an extension may follow. */
const CANDIDATE = new RegExp(
  String.raw`(?:\+|(?<![\d.,/-])\b00(?=[1-9])|\(\+?)?\s?\(?\d(?:[\d ().\-/]*\d)?(?:[\s,(、，（]{0,3}(?:ext\.?|extension|x|${EXTENSION})[ .:：]{0,2}\d{1,5}\b)?`,
  'giu',
);
/** E.164: figures of a number, the country's code among them; a number of a small place may be short. */
const MAX_DIGITS = 15;
const MIN_DIGITS = 8;
const MIN_LABELLED_DIGITS = 5;
/** More than an area's code has. */
const MIN_SPLIT_DIGITS = 7;
const DATE =
  /^\(?(?:\d{1,2}[./-]\d{1,2}[./-](?:19|20)?\d{2}|(?:19|20)\d{2}[./-]\d{1,2}[./-]\d{1,2}|(?:19|20)\d{2}\s?-\s?(?:19|20)?\d{2})\)?$/;
/** A day without signs, as it stands in the numbers of papers. */
const COMPACT_DAY = /^(?:19|20)\d{2}(?:0[1-9]|1[0-2])(?:0[1-9]|[12]\d|3[01])$/;

/** Letters between which no space stands: a number may touch them. */
const UNSPACED = /[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}]/u;

/** A postcode of Brazil or the long one of the United States. */
const POSTCODE = /^\d{5}-\d{3,4}$/;

/** Finds the numbers one can ring, with what the label beside each says of it. */
export function findPhones(
  lines: readonly TextLine[],
  taken: readonly TextSpan[],
  country: string | undefined,
): TextSpan[] {
  const marks: TextSpan[] = [];
  let above: readonly PhoneWord[] = [];
  for (const line of lines) {
    const found = phonesOf(line, taken, country, above);
    marks.push(...found);
    // A label alone on its line belongs to the number below it.
    above = found.length === 0 && line.text.length < 30 ? wordsOfLabel(line.text) : [];
  }
  return marks;
}

function phonesOf(
  line: TextLine,
  taken: readonly TextSpan[],
  country: string | undefined,
  above: readonly PhoneWord[],
): TextSpan[] {
  const marks: TextSpan[] = [];
  let from = line.start;
  let last: readonly PhoneWord[] = above;
  for (const { start, end } of candidatesIn(line)) {
    if (start < from || overlapsAny({ start, end }, taken)) continue;
    const before = labelText(line, taken, from, start);
    const label = wordsOfLabel(before);
    const behind = /^\s*(?:\(([^)\d]{1,30})\)|(?:- )?(\p{L}{1,12})\s*(?:$|[|•·,;]))/u.exec(
      line.text.slice(end - line.start),
    );
    const kinds = [...label, ...(behind ? wordsOfLabel(behind[1] ?? behind[2] ?? '') : [])];
    const usual = kinds.length > 0 || (before.trim() !== '' && !/^[\s|•·,;/]*$/u.test(before)) ? kinds : last;
    const shown = line.text.slice(start - line.start, end - line.start);
    if (!isNumber({ shown, before, line, start, end }, usual.length > 0, country)) continue;
    marks.push(toMark(start, end, usual));
    last = usual;
    from = end;
  }
  return marks;
}

/** Figures that may be a number. A stroke with space around it parts two numbers, or an area's code from the rest. */
function candidatesIn(line: TextLine): TextRange[] {
  return [...line.text.matchAll(CANDIDATE)].flatMap(({ 0: text, index }) => {
    const pieces: TextRange[] = [];
    let from = 0;
    for (const stroke of text.matchAll(/ \/ /g)) {
      if (text.slice(from, stroke.index).replace(/\D/g, '').length < MIN_SPLIT_DIGITS) continue;
      pieces.push(placeOf(line, index + from, text.slice(from, stroke.index)));
      from = stroke.index + stroke[0].length;
    }
    return [...pieces, placeOf(line, index + from, text.slice(from))];
  });
}

function placeOf(line: TextLine, index: number, text: string): TextRange {
  const lead = text.length - text.trimStart().length;
  const end = line.start + index + text.trimEnd().length;
  const start = line.start + index + lead;
  // An opening bracket without its closing one belongs to what stands before.
  const isOpen = text.trimStart().startsWith('(') && !text.includes(')');
  return { start: isOpen ? start + 1 : start, end };
}

/** What stands between the value before and the number, at most back to the last separator. */
function labelText(line: TextLine, taken: readonly TextSpan[], from: number, start: number): string {
  const since = Math.max(from, ...taken.filter((mark) => mark.end <= start).map((mark) => mark.end));
  const text = line.text.slice(since - line.start, start - line.start);
  const cut = Math.max(
    text.lastIndexOf('|'),
    text.lastIndexOf('•'),
    text.lastIndexOf('·'),
    text.lastIndexOf(';'),
  );
  const last = text.slice(cut + 1);
  return last.trim() === '' ? text : last;
}

/** What the label's words mean; those nearest to the number win. */
function wordsOfLabel(text: string): PhoneWord[] {
  const words = foldText(
    text
      .replace(/[☎📞✆☏]/gu, ' tel ')
      .replace(/[📱]/gu, ' mobile ')
      .replace(/[📠🖷]/gu, ' fax '),
  )
    .split(/[^\p{L}]+/u)
    .filter(Boolean);
  // "هاتفي المحمول": with the article, and whose it is.
  return words
    .slice(-3)
    .flatMap((word) => phoneWordWithin(word) ?? phoneWordWithin(word.replace(/^ال|ي$/gu, '')) ?? []);
}

interface Candidate {
  readonly shown: string;
  readonly before: string;
  readonly line: TextLine;
  readonly start: number;
  readonly end: number;
}

function isNumber(candidate: Candidate, isLabelled: boolean, country: string | undefined): boolean {
  const { shown, before, line, start, end } = candidate;
  const digits = shown.replace(BEHIND, '').replace(/\D/g, '');
  const isAbroad = /^\(?(?:\+|00)/.test(shown);
  if (digits.length > MAX_DIGITS || digits.length < (isLabelled ? MIN_LABELLED_DIGITS : MIN_DIGITS))
    return false;
  if (DATE.test(shown) && !isLabelled) return false;
  if (COMPACT_DAY.test(shown) && !/\p{L}{3,}[.:]{0,2}\s*$/u.test(before)) return false;
  // "ZA du Port - 29900 Concarneau": a postcode and its town.
  if (digits.length < 7 && /^\s+\p{Lu}\p{L}/u.test(line.text.slice(end - line.start))) return false;
  const next = line.text.charAt(end - line.start);
  const prior = line.text.charAt(start - line.start - 1);
  if (/[\p{L}\d%€$£¥]/u.test(next) && !UNSPACED.test(next)) return false;
  if (/[€$£¥#№]/u.test(prior) || (/\p{L}/u.test(prior) && !UNSPACED.test(prior) && !isLabelled)) return false;
  // "F-67000 Strasbourg": the sign of a country before a postcode.
  if (/(?:^|[^\p{L}])[A-Z]{1,3}-$/u.test(before)) return false;
  if (isRegistered(before.slice(-40)) || POSTCODE.test(shown)) return false;
  // "IBAN DE12 3456": letters with figures before the figures.
  if (/[A-Z]{2}\d{0,2}\s?$/.test(before) && !isLabelled && !isAbroad) return false;
  if (isAbroad || isLabelled) return true;
  return looksNational(shown, digits, country);
}

/** Whether what stands before figures says that they are of an account, a register, an invoice: at most two words back. */
function isRegistered(before: string): boolean {
  const found = REGISTRY.exec(before);
  if (!found) return false;
  const between = before.slice(found.index + found[0].length);
  return !/\p{L}+[\s.,:]+\p{L}+[\s.,:]+\p{L}+/u.test(between);
}

/** Without a label and a country's code: what the country's plan knows, or what is grouped as its numbers are. */
function looksNational(shown: string, digits: string, country: string | undefined): boolean {
  if (!/[ ().\-/]/.test(shown)) return /^0\d{9,10}$/.test(digits);
  if (parsePhone(shown, country)?.isValid === true) return true;
  return /^\(?0\d/.test(shown) || /^\(?\d{3}\)?[-. ]\d{3}[-. ]\d{4}$/.test(shown);
}

function toMark(start: number, end: number, kinds: readonly PhoneWord[]): TextSpan {
  const isFax = kinds.includes('fax');
  const isVoice = kinds.includes('voice');
  const field = kinds.includes('mobile') ? 'mobile' : isFax && !isVoice ? 'fax' : 'phone';
  return {
    ...{ start, end, field },
    ...(kinds.includes('private') ? { context: 'private' as const } : {}),
    ...(kinds.includes('work') && !kinds.includes('private') ? { context: 'work' as const } : {}),
    ...(isFax && field === 'phone' ? { alsoFax: true } : {}),
  };
}
