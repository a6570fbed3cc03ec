import { expose } from 'comlink';

import type { Card, Uid } from '@/core/card';
import { type Hit, SearchIndex, toSearchDoc } from '@/core/search';

const index = new SearchIndex();

/** What the page may ask of the search worker. */
export interface SearchApi {
  put(cards: readonly Card[], removed: readonly Uid[], country: string): number;
  query(text: string, limit: number): Hit[];
}

const api: SearchApi = {
  put: (cards, removed, country) => {
    for (const uid of removed) index.remove(uid);
    for (const card of cards) index.add(toSearchDoc(card, country));
    return index.size;
  },
  query: (text, limit) => index.query(text, limit),
};
expose(api);
