import { type Card, shownAs } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/tidy/faults';

import type { Fault } from './fault';

/** Properties that say nothing of anybody. */
const BARE = new Set([
  ...['@type', 'version', 'uid', 'created', 'updated', 'kind', 'prodId', 'language'],
  'vCardProps',
]);

/** Ways by which somebody is reached. */
const REACH = ['phones', 'emails', 'addresses', 'onlineServices', 'links', 'schedulingAddresses'] as const;

/** Cards that say nothing, and cards of people who can't be reached. */
export function findGaps(card: Card): Fault[] {
  const place = { uid: card.uid, path: [], was: card.updated, shown: shownAs(card) || shared.noNameYet };
  const says = Object.entries(card).filter(([key, value]) => !BARE.has(key) && !isBlank(value));
  if (says.length === 0)
    return [{ ...place, code: 'empty', says: texts.saysNothing, mend: { shown: 'deleted', isSure: true } }];
  const isDead = Object.values(card.anniversaries ?? {}).some(({ kind }) => kind === 'death');
  const hasReach = REACH.some((key) => Object.keys(card[key] ?? {}).length > 0);
  return hasReach || isDead ? [] : [{ ...place, code: 'unreachable', says: texts.hasNoNumberNoMail }];
}

function isBlank(value: unknown): boolean {
  if (typeof value === 'string') return value.trim() === '';
  if (Array.isArray(value)) return value.every(isBlank);
  return typeof value === 'object' && value !== null && Object.values(value).every(isBlank);
}
