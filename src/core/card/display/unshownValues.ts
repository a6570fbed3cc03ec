import type { Card } from '../schema/types';

/** What a page that shows a card's usual values leaves unsaid, in the singular and the plural. */
const WORDS: readonly (readonly [keyof Card, string, string])[] = [
  ['members', 'member', 'members'],
  ['calendars', 'calendar', 'calendars'],
  ['schedulingAddresses', 'scheduling address', 'scheduling addresses'],
  ['directories', 'directory entry', 'directory entries'],
  ['localizations', 'translation', 'translations'],
  ['vCardProps', 'property of another program', 'properties of other programs'],
];

/** Counts of what a card holds beside the values that are shown, so that nobody thinks it lost: "2 keys". */
export function unshownValues(card: Card): string[] {
  const counted = WORDS.flatMap(([property, one, many]) => {
    const value = card[property];
    const count = Array.isArray(value) ? value.length : Object.keys((value ?? {}) as object).length;
    return count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
  });
  return card.speakToAs?.grammaticalGender === undefined ? counted : ['grammatical gender', ...counted];
}
