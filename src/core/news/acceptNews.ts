import { type Card, nextId } from '../card';
import type { News } from './news';

/** The card with a piece of news on it: in the place of what it replaces, where that is still there, or beside the others. */
export function acceptNews(card: Card, { collection, entry, replaces }: News): Card {
  const entries: Readonly<Record<string, object>> = card[collection] ?? {};
  const old = replaces === undefined ? undefined : entries[replaces];
  const id = old && replaces !== undefined ? replaces : nextId(collection, entries);
  // Parts of what is replaced that say more about it, such as which house a post is at, go with what they were said of.
  return { ...card, [collection]: { ...entries, [id]: entry } };
}
