import { SearchIndex, toSearchDoc } from '@/core/search';

import { readCardFile } from '../readCardFile';
import { UnusableInput } from '../unusableInput';

/** `search IN QUERY`: uids in rank order. */
export function search([input, query]: readonly string[]): string[] {
  if (query === undefined) throw new UnusableInput('usage: book search IN QUERY');
  const { cards } = readCardFile(input);
  const index = new SearchIndex();
  for (const card of cards) index.add(toSearchDoc(card));
  return index.query(query, cards.length).map(({ uid }) => uid);
}
