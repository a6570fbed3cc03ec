import type { Uid } from '@/core/card';

import type { LineBook } from './lineBook';
import type { LineToken } from './lineTokens';

/** Whom some words mean. */
export interface Who {
  readonly uids: readonly Uid[];
  readonly isList: boolean;
  /** Whether of each name a whole word was typed: only then is anything changed. */
  readonly isSure: boolean;
  /** 1 where only these can be meant, less where others could. */
  readonly sureness: number;
}

/** Readings of "the tallises" beyond this many are a question, not an answer. */
const MOST_READINGS = 4;
const BEFORE = new Set([
  'the',
  'to',
  'for',
  'with',
  'of',
  'on',
  'from',
  'everyone',
  'everybody',
  'all',
  'people',
  'those',
  'card',
]);
const BEHIND = new Set(['list', 'card']);

/**
 * Whom some words mean, all of them: people joined by "and", or everybody on a list. Several readings where a name is that
 * of several; none where a word is left that nobody is called by.
 */
export function whoIn(tokens: readonly LineToken[], book: LineBook): Who[] {
  const words = trimmedWho(tokens);
  if (words.length === 0 || words.length > 8 || words.some(({ isQuoted }) => isQuoted)) return [];
  const whole = oneWho(words, book);
  if (whole.length > 0) return whole;
  const parts = splitAtAnd(words);
  if (parts.length < 2) return [];
  let readings: Who[] = [{ uids: [], isList: false, isSure: true, sureness: 1 }];
  for (const part of parts) {
    const found = oneWho(trimmedWho(part), book);
    if (found.length === 0) return [];
    readings = readings
      .flatMap((one) =>
        found.map((next) => ({
          uids: [...one.uids, ...next.uids.filter((uid) => !one.uids.includes(uid))],
          isList: one.isList || next.isList,
          isSure: one.isSure && next.isSure,
          sureness: Math.min(one.sureness, next.sureness),
        })),
      )
      .slice(0, MOST_READINGS);
  }
  return readings;
}

function trimmedWho(tokens: readonly LineToken[]): readonly LineToken[] {
  let from = 0;
  let to = tokens.length;
  while (from < to - 1 && BEFORE.has(tokens[from]?.low ?? '')) from += 1;
  while (to > from + 1 && BEHIND.has(tokens[to - 1]?.low ?? '')) to -= 1;
  return tokens.slice(from, to);
}

function splitAtAnd(tokens: readonly LineToken[]): LineToken[][] {
  const parts: LineToken[][] = [[]];
  for (const token of tokens) {
    if (token.low === 'and' || token.low === '&') {
      parts.push([]);
      continue;
    }
    parts.at(-1)?.push(token);
    if (token.sign === ',') parts.push([]);
  }
  return parts.filter((part) => part.length > 0);
}

function oneWho(tokens: readonly LineToken[], book: LineBook): Who[] {
  const words = tokens.map(({ raw }) => raw);
  const list = book.list(words);
  const named = book.named(words);
  // A list is meant where it is called just so, or nobody is.
  const onList: Who[] =
    list && (list.isWhole || named.length === 0)
      ? [{ uids: [list.uid], isList: true, isSure: list.isWhole, sureness: 1 }]
      : [];
  const count = named.length + onList.length;
  const people = named.slice(0, MOST_READINGS).map(({ uid, isWhole, hasWhole }) => ({
    uids: [uid],
    isList: false,
    isSure: hasWhole,
    sureness: (isWhole ? 1 : 0.9) / (count > 1 ? 1.2 : 1),
  }));
  return [...onList, ...people];
}
