import { placeOf } from './formatAddress';
import { shownAs } from './name/shownAs';
import { preferredEntry } from './preferEntry';
import type { Card } from './schema/types';

/** What can stand under a name. */
export const SECOND_PARTS = ['post', 'organisation', 'place', 'nickname', 'number', 'mail', 'tags'] as const;

/** One of the things that can stand under a name. */
export type SecondPart = (typeof SECOND_PARTS)[number];

/** What stands there unless the user has chosen otherwise. */
export const USUAL_SECOND_LINE: readonly SecondPart[] = ['post', 'organisation', 'place'];

/** What there is of the chosen parts: "Piano tuner, Brzeg & Sons · Gdynia". Post and organisation stand closer. */
export function secondLine(card: Card, parts: readonly SecondPart[] = USUAL_SECOND_LINE): string {
  let text = '';
  let before: SecondPart | undefined;
  for (const part of parts) {
    const words = wordsOf(card, part);
    if (words === '') continue;
    const isWork = before === 'post' && part === 'organisation';
    text += (text === '' ? '' : isWork ? ', ' : ' · ') + words;
    before = part;
  }
  return text;
}

function wordsOf(card: Card, part: SecondPart): string {
  switch (part) {
    case 'post':
      return firstOf(card.titles)?.name ?? '';
    case 'organisation': {
      const organisation = organisationOf(card);
      return organisation !== '' && organisation === shownAs(card) ? '' : organisation;
    }
    case 'place':
      return townOf(card);
    case 'nickname':
      return firstOf(card.nicknames)?.name ?? '';
    case 'number':
      return preferredEntry(card.phones)?.number.replace(/^tel:/, '') ?? '';
    case 'mail':
      return preferredEntry(card.emails)?.address ?? '';
    case 'tags':
      return Object.keys(card.keywords ?? {}).join(', ');
  }
}

/** The first organisation of a card; '' for none. */
export function organisationOf(card: Card): string {
  return firstOf(card.organizations)?.name ?? '';
}

/** The town of the first address that has one; '' for none. */
export function townOf(card: Card): string {
  return (
    Object.values(card.addresses ?? {})
      .map(placeOf)
      .find(Boolean) ?? ''
  );
}

function firstOf<T>(entries: Readonly<Record<string, T>> | undefined): T | undefined {
  return Object.values(entries ?? {})[0];
}
