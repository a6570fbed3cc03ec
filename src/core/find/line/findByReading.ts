import { foldedWords } from '@/core/base';
import type { Uid } from '@/core/card';

import type { FindOrder } from '../rules/fields';
import { isGroup, type Rule } from '../rules/rule';
import type { FoundCards } from '../search/findCards';
import type { Hit, SearchIndex } from '../search/searchIndex';
import type { Reading } from './reading';

/** Less sure than this a reading leaves too much of a line. */
const LEAST_SCORE = 0.8;

/** What a search finds by a reading: its words ranked as words are, everything else as limits. */
export function findByReading(
  index: SearchIndex,
  { rule, order }: Pick<Reading, 'rule' | 'order'>,
  { limit, today }: { limit: number; today: string },
): Hit[] {
  const rules = rule && isGroup(rule) && rule.kind === 'all' ? rule.rules : rule ? [rule] : [];
  const isWords = (one: Rule) => one.kind === 'words' && one.field === 'any' && one.not !== true;
  const words = rules.flatMap((one) => (one.kind === 'words' && isWords(one) ? [one.value] : [])).join(' ');
  const limits = rules.filter((one) => !isWords(one));
  const isPlain = limits.length === 0 && order === undefined;
  if (isPlain) return foldedWords(words).length === 0 ? [] : index.query(words, { limit, today });
  const text = JSON.stringify(limits);
  // Limits are about people and organisations, unless they say otherwise.
  const all: Rule = {
    kind: 'all',
    rules: [
      ...limits,
      ...(text.includes('"kind":"card"') ? [] : [{ kind: 'card', card: 'list', not: true } as const]),
    ],
  };
  const withArchived = text.includes('"archived"');
  return index.query(words, {
    ...{ limit, today, rule: all, withArchived },
    ...(order === undefined ? {} : { order: keyOf(index, order, today) }),
  });
}

/** What an order goes by. */
function keyOf(index: SearchIndex, order: FindOrder, today: string): (uid: Uid) => number | string {
  if (order === 'lastTalk') return (uid) => index.talks.get(uid)?.last ?? '';
  const closeness = index.closeness(today);
  return (uid) => closeness.get(uid) ?? 0;
}

/**
 * Whether a reading explains more than was found by the words that limits are written in: more limits,
 * or fewer words left.
 */
export function saysMore(
  { rule, order, score }: Reading,
  { words, tests }: FoundCards,
  text: string,
): boolean {
  if (score < LEAST_SCORE) return false;
  const rules = rule && isGroup(rule) ? rule.rules : [];
  const limits = rules.filter((one) => one.kind !== 'words' || one.field !== 'any');
  // A word alone may be anything; that it is a role too is no reason to find less.
  const [only] = limits;
  if (
    limits.length === 1 &&
    rules.length === 1 &&
    only?.kind === 'words' &&
    only.field === 'title' &&
    order === undefined
  )
    return /\s/.test(text.trim());
  const left = rules.flatMap((one) =>
    one.kind === 'words' && one.field === 'any' ? one.value.split(' ') : [],
  );
  const isShorter = limits.length > 0 && left.length < words.split(/\s+/).filter(Boolean).length;
  return order !== undefined || limits.length > tests.length || limits.some(isGroup) || isShorter;
}
