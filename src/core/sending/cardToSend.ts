import type { Card } from '../card';
import { isObject } from '../json';

/** What goes along beyond what anybody may know. */
export interface SendOptions {
  readonly withPrivate?: boolean;
  /** Notes and tags are the user's own thoughts on somebody. */
  readonly withNotes?: boolean;
}

const PRIVATE = 'cordialis.example:private';

/**
 * The card as somebody else gets it: without private values, notes and tags unless asked for, without what only this book
 * knows (opener, rhythm, own fields, files that lie apart), without related cards, which the other doesn't have.
 */
export function cardToSend(card: Card, { withPrivate = false, withNotes = false }: SendOptions = {}): Card {
  const kept = Object.entries(card).flatMap(([key, value]): [string, unknown][] => {
    if (key.startsWith('cordialis.example:') || key === 'relatedTo') return [];
    if ((key === 'notes' || key === 'keywords') && !withNotes) return [];
    if (withPrivate || !isObject(value)) return [[key, value]];
    const entries = Object.entries(value).filter(([, entry]) => !isPrivate(entry));
    return entries.length === 0 && Object.keys(value).length > 0 ? [] : [[key, Object.fromEntries(entries)]];
  });
  return Object.fromEntries(kept) as unknown as Card;
}

/** Whether a card, or some value of it, is private. */
export function hasPrivate(card: Card): boolean {
  return (
    isPrivate(card) ||
    Object.values(card).some((value) => isObject(value) && Object.values(value).some(isPrivate))
  );
}

function isPrivate(value: unknown): boolean {
  return isObject(value) && value[PRIVATE] === true;
}
