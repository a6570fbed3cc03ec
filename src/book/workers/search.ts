import { expose } from 'comlink';

import type { Card, Uid } from '@/core/card';
import type { Rule } from '@/core/rules';
import { findCards, type FoundCards, SearchIndex, toSearchDoc } from '@/core/search';

const index = new SearchIndex();

/** What the page may ask of the search worker. */
export interface SearchApi {
  put(cards: readonly Card[], removed: readonly Uid[], country: string): number;
  /** @param today - a day such as 2026-11-24 */
  find(text: string, limit: number, today: string): FoundCards;
  /** The cards that a rule is true of. */
  matching(rule: Rule, today: string): Uid[];
  /** Everybody on a list, by rule, by choice and through lists on it. */
  onList(uid: Uid, today: string): Uid[];
  /** The lists that a card is on. */
  listsOf(uid: Uid, today: string): Uid[];
}

const api: SearchApi = {
  put: (cards, removed, country) => {
    for (const uid of removed) index.remove(uid);
    for (const card of cards) index.add(toSearchDoc(card, country));
    return index.size;
  },
  find: (text, limit, today) => findCards(index, text, { limit, today }),
  matching: (rule, today) => index.matching(rule, today),
  onList: (uid, today) => index.onList(uid, today),
  listsOf: (uid, today) => index.listsOf(uid, today),
};
expose(api);
