import { foldText } from '@/core/base';

import { findIntroductions } from './findIntroductions';
import { isGivenName } from './givenNames';
import { IMPRINT } from './mailWords';
import { nameScore } from './nameScore';
import { isProse, wordCount } from './readableLines';
import { overlapsAny, type SpanField, type TextSpan } from './spans';
import type { Segment, TextLine } from './textLines';
import { candidatesOf, type WhoCandidate } from './whoCandidates';
import { ADDRESSED, DEPARTMENT, HOUSE, INSTRUMENT, LEGAL_FORM, POST, PRONOUNS, WHO_LABELS } from './whoWords';

/** What helps to tell who the text is about. */
export interface WhoHints {
  readonly text: string;
  /** Of the mail addresses: folded words of what stands before the @. */
  readonly locals: readonly string[];
  /** Of mail and web addresses: folded words of domains, without the ends. */
  readonly domains: readonly string[];
  readonly isSignature: boolean;
}

/** Finds the name, the post, the department and the organisation among what no other rule has taken. */
export function findWho(lines: readonly TextLine[], taken: readonly TextSpan[], hints: WhoHints): TextSpan[] {
  const marks: TextSpan[] = [...findPronouns(lines, taken)];
  marks.push(...findLabelled(lines, taken));
  const candidates = candidatesOf(lines, [...taken, ...marks], hints.text, hints.locals);
  const has = (field: SpanField) => marks.some((mark) => mark.field === field);
  const scored = candidates.map((candidate) => ({ candidate, ...scoresOf(candidate, candidates, hints) }));
  const isImprint = IMPRINT.test(hints.text);
  if (!has('name')) {
    const best = scored
      .toSorted((a, b) => b.name - a.name)
      .find(({ candidate, name }) => name >= (isImprint ? 6 : isSupported(candidate, scored, hints) ? 3 : 4));
    if (best) marks.push(nameMark(best.candidate));
    else marks.push(...findIntroductions(lines, hints.locals).filter((mark) => !overlapsAny(mark, taken)));
  }
  const free = scored.filter(({ candidate }) => !overlapsAny(candidate, marks));
  for (const { candidate, post, house } of free) {
    if (isDepartment(candidate.text)) {
      if (!has('department')) marks.push(markOf(candidate, 'department'));
    } else if (post > 0 && post >= house) {
      if (marks.filter((mark) => mark.field === 'post').length < 2) marks.push(markOf(candidate, 'post'));
    }
  }
  if (!has('post')) marks.push(...tradeUnder(free, marks));
  if (!has('organisation'))
    marks.push(
      ...houseOf(
        free.filter(({ candidate }) => !overlapsAny(candidate, marks)),
        marks,
      ),
    );
  return marks;
}

/** How one word that says what somebody does ends, in many languages. */
const TRADE =
  /(?:erin|istin|ist|iste|ista|istka|or|ora|eur|euse|rice|ier|ière|ienne|aio|aia|ero|era|eiro|eira|nik|arz|arka|cielka|tel|telka|ář|ařka|ník|are|ör|ør|aja|jä|ija|ász|ész|ő|cı|ci|çı|çi|ian|man|woman|smith|wright|ник|щик|арь|тель|ист|истка|ица|ιστής|τής|τρια)$/iu;

/** A word alone under the name: what the person does, where it ends so, is small, or the organisation is another line. */
function tradeUnder(free: readonly Scored[], marks: readonly TextSpan[]): TextSpan[] {
  const name = marks.find(({ field }) => field === 'name');
  const next = free.find(({ candidate }) => name !== undefined && candidate.start >= name.end);
  if (!name || !next || next.house > 0 || next.candidate.start - name.end > 4) return [];
  const { text } = next.candidate;
  if (/\s/.test(text) || !/^\p{L}{3,}$/u.test(text) || /[\p{Script=Han}\p{Script=Hiragana}]/u.test(text)) return [];
  const hasHouse = free.some(({ candidate, house }) => candidate !== next.candidate && house >= 2.5);
  return hasHouse || /^\p{Ll}/u.test(text) || TRADE.test(text) ? [markOf(next.candidate, 'post')] : [];
}

/** Whether more than its two capital words speaks for a name: where it stands, or that the firm is another line. */
function isSupported({ text }: WhoCandidate, all: readonly Scored[], { isSignature }: WhoHints): boolean {
  const hasHouse = all.some(({ candidate, house }) => candidate.text !== text && house >= 2.5);
  return isSignature || hasHouse || text.split(/\s+/).some(isGivenName);
}

/** Whether a piece is part of an organisation: "作曲系" is one, though composing is what somebody may do. */
function isDepartment(text: string): boolean {
  return DEPARTMENT.test(text) && !isHouse(text) && (!POST.test(text) || /^\p{Script=Han}+[系部科]$/u.test(text));
}

function markOf({ start, end }: Segment, field: SpanField): TextSpan {
  return { start, end, field };
}

/** "(retd)" behind a name is none of it. */
function nameMark({ start, text }: Segment): TextSpan {
  return {
    start,
    end: start + text.replace(/\s*\([^)]*\)$|\s*(?:女士|先生|小姐|様|さん|敬上|谨上|謹上|上|博士|硕士|碩士|드림|올림|님)$/u, '').length,
    field: 'name',
  };
}

function findPronouns(lines: readonly TextLine[], taken: readonly TextSpan[]): TextSpan[] {
  for (const line of lines) {
    const match = PRONOUNS.exec(line.text);
    const said = match?.[1];
    if (!match || said === undefined || isProse(line.text)) continue;
    const start = line.start + match.index + match[0].indexOf(said);
    const mark: TextSpan = { start, end: start + said.length, field: 'pronouns' };
    if (!overlapsAny(mark, taken)) return [mark];
  }
  return [];
}

function findLabelled(lines: readonly TextLine[], taken: readonly TextSpan[]): TextSpan[] {
  const marks: TextSpan[] = [];
  for (const segment of lines.flatMap((line) =>
    line.segments.length > 1 ? [line, ...line.segments] : [line],
  ))
    for (const [field, label] of WHO_LABELS) {
      const length = label.exec(segment.text)?.[0].length ?? 0;
      const value = { start: segment.start + length, end: segment.end, text: segment.text.slice(length) };
      if (
        length === 0 ||
        value.text === '' ||
        /[|•·@]/.test(value.text) ||
        overlapsAny(value, [...taken, ...marks])
      )
        continue;
      if (!marks.some((mark) => mark.field === field)) marks.push(markOf(value, field));
    }
  return marks;
}

interface Scores {
  readonly name: number;
  readonly post: number;
  readonly house: number;
}

function scoresOf(candidate: WhoCandidate, all: readonly WhoCandidate[], hints: WhoHints): Scores {
  const { text } = candidate;
  const post = postScore(text);
  const house = houseScore(text, hints);
  const isFirst = all[0]?.start === candidate.start;
  const isHead = isFirst && hints.isSignature;
  const isAlone = !/[\s・]/.test(text) && !/\p{Script=Han}/u.test(text);
  const name =
    nameScore(text, hints.locals) +
    (isFirst ? (hints.isSignature ? 2 : 1.5) : candidate.line === (all[0]?.line ?? 0) ? 0.5 : 0) -
    (isAlone && !isFirst ? 3 : 0) +
    (isBesidePost(candidate, all) ? 1.5 : 0) -
    (ADDRESSED.test(text) ? 4 : 0) +
    (all.some((other) => isShortOf(other.text, text)) ? 3 : 0) -
    (post > 0 && !isSurnameToo(text, isHead) ? 4 : 0) -
    (LEGAL_FORM.test(text) ? 6 : HOUSE.test(text) && !isSurnameToo(text, isHead) ? 3 : 0) -
    (isSentence(text) ? 4 : 0) -
    (DEPARTMENT.test(text) ? 3 : 0) -
    candidate.line * 0.1;
  return { name, post, house: isSentence(text) || ADDRESSED.test(text) ? Math.min(house, 1) : house };
}

/** "Michael Baker", "Detlef Grünhaus": a given name, and a surname that says a trade or ends as houses do. */
function isSurnameToo(text: string, isHead: boolean): boolean {
  const words = text.split(/\s+/);
  const [first = '', last = ''] = [words[0], words.at(-1)];
  if (words.length !== 2 || !(isGivenName(first) || (isHead && !POST.test(text) && !HOUSE.test(first))) || !/^\p{Lu}\p{Ll}+$/u.test(last)) return false;
  // "Rosa Chor" is a choir: there the word is whole.
  return POST.test(last) ? true : /haus$|werk$|house$|hall$|schule$/iu.test(last) && last.length > 6;
}

/** How much a text is what somebody does; most where it begins with the word for it. */
function postScore(text: string): number {
  if (INSTRUMENT.test(text)) return 6;
  if (!POST.test(text) || wordCount(text) > 9 || ADDRESSED.test(text) || LEGAL_FORM.test(text)) return 0;
  return POST.exec(text)?.index === 0 ? 6 : 3;
}

/** Whether a post stands right behind. */
function isBesidePost(candidate: WhoCandidate, all: readonly WhoCandidate[]): boolean {
  const next = all[all.indexOf(candidate) + 1];
  return next !== undefined && next.line - candidate.line <= 1 && postScore(next.text) > 0;
}

/** Whether a name is a shorter form of another: "Ben" of "Ben Achebe", "K. Petersen" of "Klaus Petersen". */
function isShortOf(short: string, full: string): boolean {
  if (short.length >= full.length || !/\s/.test(full)) return false;
  const words = full.split(/\s+/);
  return short
    .split(/\s+/)
    .every(
      (word) =>
        words.includes(word) ||
        (/^\p{Lu}\.$/u.test(word) && words.some((one) => one.startsWith(word.charAt(0)))),
    );
}

/** A saying ends with its point; so does what a firm is by law. */
function isSentence(text: string): boolean {
  return /[.!?。！？"”»]$/.test(text) && wordCount(text) > 3 && !LEGAL_FORM.test(text.slice(-12));
}

/** Whether a text has a word that firms and institutions have. */
function isHouse(text: string): boolean {
  return LEGAL_FORM.test(text) || HOUSE.test(text);
}

function houseScore(text: string, { domains }: WhoHints): number {
  if (/\d{3}|@/.test(text) || wordCount(text) > 8) return 0;
  const folded = foldText(text).replace(/[^\p{L}\p{N}]/gu, '');
  const words = foldText(text).match(/[\p{L}\p{N}]{3,}/gu) ?? [];
  const initials = words.map((word) => word.charAt(0)).join('');
  const byDomain = domains.some(
    (domain) =>
      folded.includes(domain) ||
      words.some((word) => word.length > 3 && domain.includes(word)) ||
      (domain.length > 2 && initials === domain),
  );
  return (LEGAL_FORM.test(text) ? 4 : 0) + (HOUSE.test(text) ? 2.5 : 0) + (byDomain ? 3 : 0);
}

interface Scored extends Scores {
  readonly candidate: WhoCandidate;
}

/** What is most like an organisation; else what stands right under the name or the post, in capitals of its own. */
function houseOf(free: readonly Scored[], marks: readonly TextSpan[]): TextSpan[] {
  const best = free.filter(({ house }) => house >= 2.5).toSorted((a, b) => b.house - a.house)[0];
  if (best) return [markOf(best.candidate, 'organisation')];
  const head = Math.max(
    -1,
    ...marks.filter(({ field }) => ['name', 'post', 'department'].includes(field)).map(({ end }) => end),
  );
  const next = free.find(({ candidate }) => candidate.start >= head && isTitled(candidate.text));
  const first = free.find(({ candidate }) => isTitled(candidate.text));
  const near =
    head < 0
      ? first
      : next?.candidate.start !== undefined && next.candidate.start - head < 90
        ? next
        : undefined;
  return near ? [markOf(near.candidate, 'organisation')] : [];
}

/** Whether a line is written as a name of something: capitals, few words, no sentence. */
function isTitled(text: string): boolean {
  const words = text.split(/\s+/);
  const capital = words.filter((word) => /^[\p{Lu}\p{Lo}&\d]/u.test(word));
  return (
    words.length <= 6 &&
    capital.length * 2 > words.length &&
    !/[.!?:"”»@]$/.test(text) &&
    !/\d{3}/.test(text) &&
    text.length > 2
  );
}
