import type { Card } from './schema/types';

/** An empty card. @param uid - not used by another card; @param now - RFC 9553 §1.4.5 */
export function newCard(uid: string, now: string): Card {
  return { '@type': 'Card', version: '1.0', uid, created: now, updated: now };
}
