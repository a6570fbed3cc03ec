import { findCards, SearchIndex, toSearchDoc } from '@/core/find';

import { readCardFile, UnusableInput } from '../input/readCardFile';

const USAGE = 'usage: book search IN QUERY [--today YYYY-MM-DD]';

/** `search IN QUERY [--today YYYY-MM-DD]`: uids in rank order. */
export function search(args: readonly string[]): string[] {
  const at = args.indexOf('--today');
  const today = at === -1 ? new Date().toISOString().slice(0, 10) : (args[at + 1] ?? '');
  if (!/^\d{4}-\d\d-\d\d$/.test(today) || Number.isNaN(Date.parse(today)))
    throw new UnusableInput(`--today ${today}: is no day such as 2026-11-25; ${USAGE}`);
  const [input, query] = args.filter((_, i) => at === -1 || (i !== at && i !== at + 1));
  if (query === undefined) throw new UnusableInput(USAGE);
  const { cards } = readCardFile(input);
  const index = new SearchIndex();
  for (const card of cards) index.add(toSearchDoc(card));
  return findCards(index, query, { limit: cards.length, today }).hits.map(({ uid }) => uid);
}
