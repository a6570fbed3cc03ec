import { texts } from '@/texts/card/display';

import type { Card } from '../schema/types';
import { shownLines } from './labelledLines';

/** What the page of a card doesn't list, and how each is counted. */
const WORDS: readonly (readonly [keyof Card, (count: number) => string])[] = [
  ['members', texts.members],
  ['calendars', texts.calendars],
  ['schedulingAddresses', texts.schedulingAddresses],
  ['directories', texts.directoryEntries],
  ['localizations', texts.translations],
  ['vCardProps', texts.propertiesOfOtherPrograms],
];

/** Counts of what a card holds besides the values shown, so that nobody thinks it is lost: "2 calendars". */
export function unshownValues(card: Card): string[] {
  const rest = WORDS.flatMap(([property, counted]) => {
    const value = card[property];
    const all = Array.isArray(value) ? value.length : Object.keys((value ?? {}) as object).length;
    const count = property === 'vCardProps' ? all - shownLines(card) : all;
    return count === 0 ? [] : [counted(count)];
  });
  return card.speakToAs?.grammaticalGender === undefined ? rest : [texts.grammaticalGender, ...rest];
}
