import { type Card, parseCard } from '@/core/card';

/** The card of an entry as the hub gives it; undefined for anything else. */
export function cardOfEntry(entry: unknown): Card | undefined {
  if (typeof entry !== 'object' || entry === null || !('card' in entry)) return undefined;
  const read = parseCard(entry.card);
  return read.kind === 'card' ? read.card : undefined;
}
