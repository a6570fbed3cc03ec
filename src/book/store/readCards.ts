import { type Card, parseCard } from '@/core/card';
import type { TextStorage } from '@/platform';
import { texts } from '@/texts/book/store';

import { KEYS } from './keys';

/** Cards of the store, and the records that are none. */
export interface StoredCards {
  readonly cards: Card[];
  readonly damaged: { readonly key: string; readonly text: string; readonly message: string }[];
}

/** Reads the cards under some keys. A record that can't be read is handed back with its text, and stops nothing. */
export async function readCards(storage: TextStorage, keys: string[]): Promise<StoredCards> {
  const stored = await storage.getMany(keys);
  const result: StoredCards = { cards: [], damaged: [] };
  for (const key of keys) {
    const text = stored[key];
    // '' marks a card that was deleted and whose key is about to go.
    if (text === null || text === undefined || text === '') continue;
    const parsed = parseStored(text);
    if (parsed.kind === 'card' && `${KEYS.card}${parsed.card.uid}` === key) result.cards.push(parsed.card);
    else
      result.damaged.push({
        key,
        text,
        message: parsed.kind === 'fault' ? parsed.message : texts.anotherCardsKey,
      });
  }
  return result;
}

function parseStored(text: string): ReturnType<typeof parseCard> {
  try {
    return parseCard(JSON.parse(text));
  } catch {
    return { kind: 'fault', message: texts.noJson };
  }
}

/** What a stored text holds; undefined where there is none, or it is damaged. */
export function parseJson(text: string | null | undefined): unknown {
  if (text === null || text === undefined || text === '') return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
