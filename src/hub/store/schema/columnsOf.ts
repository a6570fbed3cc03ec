import { createHash } from 'node:crypto';

import { foldText } from '@/core/base';
import { type Card, shownAs } from '@/core/card';

import type { CardsTable } from './tables';

/** What a card is looked up by. */
export function columnsOf(uid: string, card: Card): Pick<CardsTable, 'href' | 'kind' | 'alike' | 'place'> {
  const kind = card.kind ?? '';
  return { href: hrefFor(uid), kind, alike: alikeOf(card), place: placeOf(uid, kind) };
}

/** Where a card comes when all are told: no change of it moves it, and lists come after those who are on them. */
export function placeOf(uid: string, kind = ''): string {
  return (kind === 'group' ? 'g' : '') + createHash('sha256').update(uid).digest('hex').slice(0, 24);
}

/** The same for cards of one name, however it is written. */
export function alikeOf(card: Card): string {
  return createHash('sha256')
    .update(foldText(shownAs(card)).trim())
    .digest('hex')
    .slice(0, 32);
}

/** The address of a card that the device hasn't named itself: its UUID, or else a hash of its uid. */
export function hrefFor(uid: string): string {
  const uuid = /^urn:uuid:([0-9a-f-]{36})$/i.exec(uid)?.[1];
  return `${uuid ?? createHash('sha256').update(uid).digest('hex').slice(0, 40)}.vcf`;
}
