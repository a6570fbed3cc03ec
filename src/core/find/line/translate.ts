import { foldedWords } from '@/core/base';

import { GERMAN } from './german.data';
import type { LineBook } from './lineBook';
import { MONTHS, readDay, readSpan, readTime } from './lineDays';
import type { LineLanguage } from './lineLanguage';
import type { LineToken } from './lineTokens';
import { SPANISH } from './spanish.data';

/** What a line may be typed in beside English. */
export const LANGUAGES: readonly LineLanguage[] = [GERMAN, SPANISH];

/** A word, or several together, by what they mean; those that nobody translates stay as they were typed. */
interface Piece {
  readonly tokens: readonly LineToken[];
  /** Whether it is what is wanted, and goes to the beginning; `behind` it goes behind everything else. */
  readonly isVerb: boolean;
  readonly behind: readonly LineToken[];
}

/** Phrases have so many words at most. */
const MOST_WORDS = 7;
/** Letters of words that are of a language, together: a shorter one is in several. */
const LEAST_LETTERS = 3;
/** What is read as long as it stands behind everything else. */
const SPANS = ['week', 'month', 'year'].flatMap((unit) => [`last ${unit}`, `this ${unit}`, `next ${unit}`]);

/**
 * A line of another language in the words and the order that the readers know, each word still knowing where it stands
 * in the line; undefined where no word of it is surely of that language. What stands behind a colon is somebody's own
 * text, and stays.
 */
export function translate(
  tokens: readonly LineToken[],
  language: LineLanguage,
  { book, today }: { readonly book: LineBook; readonly today: string },
): LineToken[] | undefined {
  const colon = tokens.findIndex(({ sign }) => sign === ':');
  const own = colon < 0 ? [] : tokens.slice(colon + 1);
  const said = colon < 0 ? tokens : tokens.slice(0, colon + 1);
  const { pieces, isSure } = piecesOf(said, language, book);
  if (!isSure) return undefined;
  // "remind me to" comes before what is to be done.
  const isLead = ({ tokens: [first] }: Piece) => Number(first?.low === 'remind');
  const verbs = pieces.filter(({ isVerb }) => isVerb).toSorted((a, b) => isLead(b) - isLead(a));
  const rest = withDates(pieces.filter(({ isVerb }) => !isVerb).flatMap((piece) => piece.tokens));
  const behind = pieces.flatMap((piece) => piece.behind);
  const { others, days } = verbs.length === 0 ? { others: rest, days: [] } : daysApart(rest, today);
  return [...withTalk([...verbs.flatMap((piece) => piece.tokens), ...others]), ...behind, ...days, ...own];
}

/** What the lexicon has for the words, the longest first. */
function piecesOf(
  tokens: readonly LineToken[],
  language: LineLanguage,
  book: LineBook,
): { pieces: Piece[]; isSure: boolean } {
  const split = language.around.find(([first, last]) => {
    const [begin, end] = [first.split(' '), last.split(' ')];
    const isAt = (words: readonly string[], from: number) =>
      words.every((word, i) => tokens[from + i]?.low === word);
    return (
      tokens.length > begin.length + end.length && isAt(begin, 0) && isAt(end, tokens.length - end.length)
    );
  });
  if (split) {
    const [first, last, means] = split;
    const count = first.split(' ').length;
    const inner = piecesOf(tokens.slice(count, -last.split(' ').length), { ...language, around: [] }, book);
    const verb = pieceOf(tokens.slice(0, count), `!${means}`);
    return { pieces: [verb, ...inner.pieces], isSure: true };
  }
  const pieces: Piece[] = [];
  let letters = 0;
  for (let at = 0; at < tokens.length;) {
    const found = phraseAt(tokens, at, language, book);
    const typed = tokens.slice(at, at + (found?.count ?? 1));
    if (found) {
      // A word that is the same in both says nothing of the language.
      const said = typed.map(({ low }) => low).join(' ');
      if (found.means.replace('!', '') !== said) letters += said.length;
      pieces.push(pieceOf(typed, found.means));
    }
    // The little word before somebody's name says nothing behind a verb.
    else if (language.behindVerb.includes(typed[0]?.low ?? '')) {
      if (!followsVerb(pieces)) pieces.push(pieceOf(typed, 'to'));
    } else pieces.push(asTyped(typed[0] as LineToken, language, book));
    at += typed.length;
  }
  return {
    pieces: pieces.filter((piece) => piece.tokens.length > 0 || piece.behind.length > 0),
    isSure: letters >= LEAST_LETTERS,
  };
}

/** Whether what came last is a verb, or joins what came before to more of it. */
function followsVerb(pieces: readonly Piece[]): boolean {
  const last = pieces.at(-1);
  return last === undefined || last.isVerb || last.tokens.at(-1)?.low === 'and';
}

function phraseAt(
  tokens: readonly LineToken[],
  at: number,
  { phrases, beforeList, alone }: LineLanguage,
  book: LineBook,
): { means: string; count: number } | undefined {
  const [{ low: whole } = { low: '' }] = tokens;
  if (tokens.length === 1 && Object.hasOwn(alone, whole)) return { means: alone[whole] ?? '', count: 1 };
  for (let count = Math.min(MOST_WORDS, tokens.length - at); count > 0; count -= 1) {
    const words = tokens.slice(at, at + count);
    // A sign ends what belongs together.
    if (words.slice(0, -1).some(({ sign }) => sign !== '') || words.some(({ isQuoted }) => isQuoted))
      continue;
    const typed = words.map(({ low }) => low).join(' ');
    const means = Object.hasOwn(phrases, typed) ? phrases[typed] : undefined;
    if (means !== undefined) return { means, count };
  }
  const low = tokens[at]?.low ?? '';
  const choice = Object.hasOwn(beforeList, low) ? beforeList[low] : undefined;
  if (!choice) return undefined;
  const next = tokens.slice(at + 1, at + 5).map(({ raw }) => raw);
  const isList = next.some((_, i) => book.list(next.slice(0, i + 1))?.isWhole === true);
  return { means: isList ? choice[0] : choice[1], count: 1 };
}

function pieceOf(typed: readonly LineToken[], means: string): Piece {
  const isVerb = means.startsWith('!');
  const [before = '', behind = ''] = means.replace('!', '').split('WHO');
  return { isVerb, tokens: tokensFor(before.trim(), typed), behind: tokensFor(behind.trim(), typed) };
}

/** Tokens of the words that the readers know, all standing where the typed ones do. */
function tokensFor(words: string, typed: readonly LineToken[]): LineToken[] {
  const [first, last] = [typed[0], typed.at(-1)];
  if (words === '' || !first || !last) return [];
  const said = typed.map(({ raw }) => raw).join(' ');
  return words.split(' ').map((low, i, all) => ({
    // Text that is kept is kept as typed; of a date the months are read.
    raw: MONTHS.includes(low) ? low : i === 0 ? said : '',
    ...{ low, isOwner: false, isQuoted: false, sign: i === all.length - 1 ? last.sign : '' },
    ...{ from: first.from, to: last.to },
  }));
}

/** A word of no phrase: "3." is a day, and "adas" is hers. */
function asTyped(token: LineToken, { hasOwnerS }: LineLanguage, book: LineBook): Piece {
  const plain = { isVerb: false, behind: [] };
  if (/^\d{1,2}\.$/.test(token.raw)) {
    const day = token.raw.slice(0, -1);
    return { ...plain, tokens: [{ ...token, raw: day, low: day }] };
  }
  const bare = token.raw.slice(0, -1);
  const isNamed = (name: string) => book.named([name]).some(({ isWhole }) => isWhole);
  const isOwner =
    hasOwnerS &&
    foldedWords(bare).join('').length > 2 &&
    /s$/i.test(token.raw) &&
    !isNamed(token.raw) &&
    isNamed(bare);
  return { ...plain, tokens: [isOwner ? { ...token, raw: bare, low: bare.toLowerCase(), isOwner } : token] };
}

/** "3 de mayo de 1968" without what joins it. */
function withDates(tokens: readonly LineToken[]): LineToken[] {
  return tokens.filter(({ low }, i) => {
    if (low !== 'of') return true;
    const [before, next] = [tokens[i - 1]?.low ?? '', tokens[i + 1]?.low ?? ''];
    return (
      !(/^\d{1,2}$/.test(before) && MONTHS.includes(next)) &&
      !(MONTHS.includes(before) && /^\d{4}$/.test(next))
    );
  });
}

/** Days, times and spans apart from the rest, so that they can stand behind it. */
function daysApart(tokens: readonly LineToken[], today: string): { others: LineToken[]; days: LineToken[] } {
  const [others, days]: [LineToken[], LineToken[]] = [[], []];
  for (let at = 0; at < tokens.length;) {
    const lows = tokens.slice(at).map(({ low }) => low);
    const taken = spanIn(lows, today);
    (taken > 0 ? days : others).push(...tokens.slice(at, at + Math.max(1, taken)));
    at += Math.max(1, taken);
  }
  return { others, days };
}

/** How many words at the beginning are a day, a time or a span. */
function spanIn(lows: readonly string[], today: string): number {
  if (lows[0] === 'in' && SPANS.includes(lows.slice(1, 3).join(' '))) return 3;
  if (SPANS.includes(lows.slice(0, 2).join(' '))) return 2;
  if (lows[0] === 'for' || lows[0] === 'since') {
    const span = readSpan(lows.slice(1));
    return span ? span.taken + 1 : 0;
  }
  // "at 10" is a time, a figure alone is none.
  const time = readTime(lows);
  if (time) return time.taken;
  // Dates without more belong to values, as that of a birth.
  return /^(?:on|in|next|last|today|tomorrow|yesterday|\D+day)$/.test(lows[0] ?? '') || lows.includes('ago')
    ? (readDay(lows, today)?.taken ?? readDay(lows, today, true)?.taken ?? 0)
    : 0;
}

/** "with ada talked" and "talked with ada": one order; a talk with nobody named is a limit. */
function withTalk(tokens: readonly LineToken[]): LineToken[] {
  const [first, second] = tokens;
  if (first?.low !== 'talked' || second?.low === 'with' || second?.low === 'to') return [...tokens];
  return tokens.length === 1 ? [...tokens] : [first, { ...first, low: 'to', raw: '' }, ...tokens.slice(1)];
}
