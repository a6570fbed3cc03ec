import { placeOf } from './formatAddress';
import { indexLetter, initialsOf, shownAs, type SortOrder, sortText } from './name';
import { portraitOf } from './portraitOf';
import type { Card } from './schema/types';

/** What a list shows of a card: little enough to keep for every card of a large book. */
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
  readonly sortText: string;
  /** The letter of the thumb index. */
  readonly letter: string;
}

/** Archived cards and group cards have no row in the book. */
export function hasRow(card: Card): boolean {
  return card['cordialis.example:archived'] !== true && card.kind !== 'group';
}

/** @param collator - of the user's locale, with sensitivity 'base' */
export function toRow(card: Card, order: SortOrder, collator: Intl.Collator): CardRow {
  const sort = sortText(card, order);
  const photo = portraitOf(card)?.[1].blobId;
  return {
    uid: card.uid,
    shown: shownAs(card),
    second: secondLine(card),
    initials: initialsOf(card),
    isOrg: card.kind === 'org',
    isPinned: card['cordialis.example:pinned'] === true,
    ...(photo === undefined ? {} : { photo }),
    sortText: sort,
    letter: indexLetter(sort, collator),
  };
}

/** Title, organisation and town, what there is of them. */
export function secondLine(card: Card): string {
  const shown = shownAs(card);
  const title = Object.values(card.titles ?? {})[0]?.name ?? '';
  const organization = Object.values(card.organizations ?? {})[0]?.name ?? '';
  const place =
    Object.values(card.addresses ?? {})
      .map(placeOf)
      .find(Boolean) ?? '';
  const work = [title, organization === shown ? '' : organization].filter(Boolean).join(', ');
  return [work, place].filter(Boolean).join(' · ');
}

/** The order of the book: by the sort text in the collator's order, by uid where that is equal. */
export function compareRows(a: CardRow, b: CardRow, collator: Intl.Collator): number {
  return collator.compare(a.sortText, b.sortText) || (a.uid < b.uid ? -1 : Number(a.uid > b.uid));
}
