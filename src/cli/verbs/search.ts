import { findCards, parseLimits, SearchIndex, toSearchDoc } from '@/core/find';

import { knowPlaces } from '../input/knowPlaces';
import { readArgs, readDay } from '../input/readArgs';
import { readCardFile } from '../input/readCardFile';

/** `search IN QUERY [--today YYYY-MM-DD]`: uids in rank order. */
export async function search(args: readonly string[]): Promise<string[]> {
  const { words, options, usage } = readArgs(args, {
    usage: 'search IN QUERY [--today YYYY-MM-DD]',
    words: 2,
    options: ['today'],
  });
  const today = readDay(options.today ?? new Date().toISOString().slice(0, 10), 'today', usage);
  const [input, query = ''] = words;
  const { cards } = readCardFile(input);
  const index = new SearchIndex();
  for (const card of cards) index.add(toSearchDoc(card));
  const { tests } = parseLimits(query, { lists: index.lists() });
  await knowPlaces(index, [{ kind: 'all', rules: tests }]);
  return findCards(index, query, { limit: cards.length, today }).hits.map(({ uid }) => uid);
}
