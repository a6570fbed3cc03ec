import { cardSchema } from './schema/cardSchema';
import type { Card } from './schema/types';

/** A card, or why the value is none: the place in it and the reason. */
export type ParsedCard =
  { readonly kind: 'card'; readonly card: Card } | { readonly kind: 'fault'; readonly message: string };

/** Checks a value from outside (a store, a file, the network) against the schema of RFC 9553. */
export function parseCard(value: unknown): ParsedCard {
  const result = cardSchema.safeParse(value);
  if (result.success) return { kind: 'card', card: result.data as Card };
  const [issue] = result.error.issues;
  const place = issue?.path.join('/') ?? '';
  return { kind: 'fault', message: `${place === '' ? 'card' : place}: ${issue?.message ?? 'not a card'}` };
}

/** An empty card. @param uid - not used by another card; @param now - RFC 9553 §1.4.5 */
export function newCard(uid: string, now: string): Card {
  return { '@type': 'Card', version: '1.0', uid, created: now, updated: now };
}
