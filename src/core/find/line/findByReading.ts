import { foldedWords } from '@/core/base';

import { isGroup, type Rule } from '../rules/rule';
import type { Hit, SearchIndex } from '../search/searchIndex';
import type { Reading } from './reading';

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
  const hits = index.query(words, {
    limit: order === undefined ? limit : 100_000,
    today,
    rule: all,
    withArchived,
  });
  if (order === undefined) return hits;
  const closeness = index.closeness(today);
  const lastTalk = (uid: string) => index.talks.get(uid)?.last ?? '';
  const sorted =
    order === 'closeness'
      ? hits.toSorted((a, b) => (closeness.get(b.uid) ?? 0) - (closeness.get(a.uid) ?? 0))
      : hits.toSorted((a, b) => lastTalk(b.uid).localeCompare(lastTalk(a.uid)));
  return sorted.slice(0, limit);
}
