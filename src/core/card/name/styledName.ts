import type { Card } from '../schema/types';
import { nameParts } from './nameParts';
import { isFamilyFirstScript } from './scripts';
import { shownAs } from './shownAs';

/** How the names of people are shown. */
export interface NameStyle {
  /** As each card has it, or the same way round for all. */
  readonly order: 'written' | 'givenFirst' | 'surnameFirst';
  /** All of it; without titles, further given names and degrees; or the given name as an initial. */
  readonly length: 'full' | 'plain' | 'initial';
}

/** Names as their cards have them. */
export const AS_WRITTEN: NameStyle = { order: 'written', length: 'full' };

/**
 * What a card is called in the user's own style. Only a name with a given name and a surname is restyled; everything
 * else stays what it is shown as. A name in a script that begins with the surname keeps that order without a comma, and
 * one in a script without capitals is not cut to an initial (common practice).
 *
 * @returns '' for a card that has nothing to be called by
 */
export function styledName(card: Card, style: NameStyle): string {
  const { order, length } = style;
  if (card.kind === 'org' || (order === 'written' && length === 'full')) return shownAs(card);
  const surname = nameParts(card.name, 'surname', 'surname2');
  const first = nameParts(card.name, 'given');
  if (surname === '' || first === '') return shownAs(card);
  if (isFamilyFirstScript(first + surname)) {
    return order === 'givenFirst' ? `${first} ${surname}` : surname + spaceIn(card) + first;
  }
  const given = length === 'initial' ? initialOf(first) : first;
  const before = length === 'full' ? nameParts(card.name, 'title') : '';
  const more = length === 'full' ? nameParts(card.name, 'given2') : '';
  const after = length === 'full' ? nameParts(card.name, 'generation', 'credential') : '';
  const isSurnameFirst =
    order === 'surnameFirst' || (order === 'written' && beginsWithSurname(card, surname));
  const comma = order === 'surnameFirst' ? ',' : '';
  const words = isSurnameFirst
    ? [surname + comma, before, given, more, after]
    : [before, given, more, surname, after];
  return words.filter(Boolean).join(' ');
}

/** Han and Hangul names are written in one; a card that has a space keeps it. */
function spaceIn(card: Card): string {
  return /\s/.test(shownAs(card)) ? ' ' : '';
}

function beginsWithSurname(card: Card, surname: string): boolean {
  const shown = shownAs(card);
  return shown.startsWith(surname) && shown !== surname;
}

function initialOf(given: string): string {
  return given
    .split(/(?<=[\s-])/)
    .map((word) => {
      const [letter = ''] = word;
      const isCased = letter.toLowerCase() !== letter.toUpperCase();
      const tail = /[\s-]$/.exec(word)?.[0] ?? '';
      return isCased ? `${letter}.${tail}` : word;
    })
    .join('');
}
