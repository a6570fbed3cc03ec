import { wrap } from 'comlink';

import type { Card, Uid } from '@/core/card';
import type { Rule } from '@/core/rules';
import type { FoundCards, NamedPoint } from '@/core/search';
import type { TalkSummary } from '@/core/talks';

import type { SearchApi, WhereCards } from '../workers/search';

/** The index of the book, wherever it lives. */
export interface SearchClient {
  put(cards: readonly Card[], removed: readonly Uid[], country: string): Promise<number>;
  putTalks(summaries: readonly (readonly [Uid, TalkSummary | undefined])[]): Promise<void>;
  find(text: string, limit: number, today: string): Promise<FoundCards>;
  matching(rule: Rule, today: string): Promise<Uid[]>;
  onList(uid: Uid, today: string): Promise<Uid[]>;
  listsOf(uid: Uid, today: string): Promise<Uid[]>;
  locate(): Promise<WhereCards>;
  pointOf(name: string): Promise<NamedPoint | undefined>;
}

/** The index in a worker, so that nothing blocks typing. */
export function startSearchWorker(): SearchClient {
  const worker = new Worker(new URL('../workers/search', import.meta.url));
  return wrap<SearchApi>(worker);
}
