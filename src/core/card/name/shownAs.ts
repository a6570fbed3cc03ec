import type { Card } from '../schema/types';
import { formatName } from './formatName';

/**
 * What a card is called wherever it is listed: its name, else its organisation, a nickname, a mail address or a
 * number, the first that is there.
 *
 * @returns '' for a card that has none of them
 */
export function shownAs(card: Card): string {
  return (
    formatName(card.name) ||
    firstOf(card.organizations, (entry) => entry.name) ||
    firstOf(card.nicknames, (entry) => entry.name) ||
    firstOf(card.emails, (entry) => entry.address) ||
    firstOf(card.phones, (entry) => entry.number.replace(/^tel:/, ''))
  );
}

function firstOf<T>(entries: Record<string, T> | undefined, pick: (entry: T) => string | undefined): string {
  for (const entry of Object.values(entries ?? {})) {
    const text = pick(entry)?.trim();
    if (text) return text;
  }
  return '';
}
