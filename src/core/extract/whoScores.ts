import { foldText } from '@/core/base';
import { parseName } from '@/core/card';

import { isGivenName } from './givenNames';
import { isKoreanName, nameScore } from './nameScore';
import { wordCount } from './readableLines';
import type { WhoCandidate } from './whoCandidates';
import { ADDRESSED, DEPARTMENT, HOUSE, INSTRUMENT, LEGAL_FORM, POST } from './whoWords';

/** What helps to tell who the text is about. */
export interface WhoHints {
  readonly text: string;
  /** Of the mail addresses: folded words of what stands before the @. */
  readonly locals: readonly string[];
  /** Of mail and web addresses: folded words of domains, without the ends. */
  readonly domains: readonly string[];
  readonly isSignature: boolean;
}

/** How much a piece looks like each. */
interface Scores {
  readonly name: number;
  readonly post: number;
  readonly house: number;
}

/** How much a piece looks like a name, a post and an organisation, by itself and by what stands around it. */
export function scoresOf(candidate: WhoCandidate, all: readonly WhoCandidate[], hints: WhoHints): Scores {
  const { text } = candidate;
  const post = postScore(text);
  const house = houseScore(text, hints);
  const isFirst = all[0]?.start === candidate.start;
  const isHead = isFirst && hints.isSignature;
  const isAlone = !/[\s・]/.test(text) && !/\p{Script=Han}/u.test(text) && !isKoreanName(text);
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
  if (
    words.length !== 2 ||
    !(isGivenName(first) || (isHead && !POST.test(text) && !HOUSE.test(first))) ||
    !/^\p{Lu}\p{Ll}+$/u.test(last)
  )
    return false;
  // "Rosa Chor" is a choir: there the word is whole.
  return POST.test(last) ? true : /haus$|werk$|house$|hall$|schule$/iu.test(last) && last.length > 6;
}

/** How much a text is what somebody does; most where it begins with the word for it. */
function postScore(text: string): number {
  if (INSTRUMENT.test(text)) return 6;
  if (!POST.test(text) || wordCount(text) > 9 || ADDRESSED.test(text) || LEGAL_FORM.test(text)) return 0;
  if (POST.exec(text)?.index === 0) return isTitleAndName(text) ? 0 : 6;
  // "Escola Superior de Música": what it begins with says what it is.
  return HOUSE.exec(text)?.index === 0 &&
    /^\S+(?:\s\S+)?\s(?:de|di|del|della|da|do|du|des|of|für|för|for)\s/u.test(text)
    ? 0
    : 3;
}

/** "Professor Lars Wennergren": a title, and who bears it. */
function isTitleAndName(text: string): boolean {
  const parts = parseName(text)?.components ?? [];
  const given = parts.find(({ kind }) => kind === 'given')?.value ?? '';
  return (
    parts[0]?.kind === 'title' &&
    parts.some(({ kind }) => kind === 'surname') &&
    (isGivenName(given) || nameScore(text, []) >= 3)
  );
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
export function isHouse(text: string): boolean {
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

/** A piece with its scores. */
export interface Scored extends Scores {
  readonly candidate: WhoCandidate;
}
