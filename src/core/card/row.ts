import { monthName } from '@/core/base';
import { texts } from '@/texts/card/card';

import { indexLetter } from './name/indexLetter';
import { initialsOf } from './name/initialsOf';
import { shownAs } from './name/shownAs';
import { type SortOrder, sortText } from './name/sortText';
import { AS_WRITTEN, type NameStyle, styledName } from './name/styledName';
import { portraitOf } from './portraitOf';
import type { Card } from './schema/types';
import { organisationOf, secondLine, type SecondPart, townOf, USUAL_SECOND_LINE } from './secondLine';

/** What a list shows of a card; small enough to keep for every card of a large book. */
export interface CardRow {
  readonly uid: string;
  readonly shown: string;
  /** What somebody does and where: "Piano tuner, Brzeg & Sons · Gdynia". */
  readonly second: string;
  readonly initials: string;
  readonly isOrg: boolean;
  readonly isPinned: boolean;
  /** Where the portrait's bytes are kept, if there is one. */
  readonly photo?: string;
  /** In the order in which they were given; left out where there are none. */
  readonly tags?: readonly string[];
  /** Cards that it stands for; left out where there are none. */
  readonly bundled?: readonly string[];
  readonly sortText: string;
  /** The letter of the thumb index. */
  readonly letter: string;
  /** The heading of its group, where that is not the letter. */
  readonly heading?: string;
}

/** How the rows of the book are put in order and what they say. */
export interface RowStyle extends SortOrder {
  /** As written where nothing is said. */
  readonly name?: NameStyle;
  /** What stands under the name, in this order; post, organisation and place where nothing is said. */
  readonly second?: readonly SecondPart[];
}

/** Archived cards and group cards have no row in the book. */
export function hasRow(card: Card): boolean {
  return card['cordialis.example:archived'] !== true && card.kind !== 'group';
}

/** @param collator - of the user's locale, with sensitivity 'base' */
export function toRow(card: Card, style: RowStyle, collator: Intl.Collator): CardRow {
  const place = placeInBook(card, style, collator);
  const photo = portraitOf(card)?.[1].blobId;
  return {
    uid: card.uid,
    shown: styledName(card, style.name ?? AS_WRITTEN),
    second: secondLine(card, style.second ?? USUAL_SECOND_LINE),
    initials: initialsOf(card),
    isOrg: card.kind === 'org',
    isPinned: card['cordialis.example:pinned'] === true,
    ...(photo === undefined ? {} : { photo }),
    ...(card.keywords === undefined ? {} : { tags: Object.keys(card.keywords) }),
    ...(card['cordialis.example:bundled'] === undefined
      ? {}
      : { bundled: Object.keys(card['cordialis.example:bundled']) }),
    ...place,
  };
}

type Place = Pick<CardRow, 'sortText' | 'letter' | 'heading'>;

/** CLDR (UTS #35 part 5): sorted after everything else. */
const LAST = '\uffff';

function placeInBook(card: Card, order: SortOrder, collator: Intl.Collator): Place {
  const name = sortText(card, order);
  switch (order.by) {
    case 'surname':
    case 'given':
      return { sortText: name, letter: indexLetter(name, collator) };
    case 'organisation':
      return under(
        card.kind === 'org' ? shownAs(card) : organisationOf(card),
        texts.noOrganisation,
        name,
        collator,
      );
    case 'place':
      return under(townOf(card), texts.noPlace, name, collator);
    case 'added':
      return underMonth(card.created ?? '', name, collator);
  }
}

/** Under the name of a group; those without one come last, under `otherwise`. */
function under(group: string, otherwise: string, name: string, collator: Intl.Collator): Place {
  if (group === '') return { sortText: `${LAST} ${name}`, letter: '–', heading: otherwise };
  return { sortText: `${group} ${name}`, letter: indexLetter(group, collator), heading: group };
}

/** Under the month in which it was added, the latest first. */
function underMonth(created: string, name: string, collator: Intl.Collator): Place {
  const stamp = Number(created.replace(/\D/g, '').slice(0, 14));
  if (!Number.isFinite(stamp) || stamp === 0)
    return { sortText: `${LAST} ${name}`, letter: '–', heading: texts.noDate };
  return {
    sortText: `${99_999_999_999_999 - stamp} ${name}`,
    letter: created.slice(0, 4),
    heading: monthName(created.slice(0, 7), collator.resolvedOptions().locale),
  };
}

/** The order of the book: by the sort text in the collator's order, by uid where that is equal. */
export function compareRows(a: CardRow, b: CardRow, collator: Intl.Collator): number {
  return collator.compare(a.sortText, b.sortText) || (a.uid < b.uid ? -1 : Number(a.uid > b.uid));
}
