import { createHash } from 'node:crypto';

import { isSameJson } from '@/core/base';
import type { Card } from '@/core/card';
import { cardToSend } from '@/core/write';

import { type Device, listsOf } from './passports';

/** What of a card a passport asks for. */
export type Marks = Pick<
  Card,
  | 'uid'
  | 'kind'
  | 'keywords'
  | 'cordialis.example:private'
  | 'cordialis.example:archived'
  | 'cordialis.example:sources'
>;

/** The same without the rest of the card. */
export function marksOf(card: Card): Marks {
  const { uid, kind, keywords } = card;
  const [isPrivate, isArchived] = [card['cordialis.example:private'], card['cordialis.example:archived']];
  const sources = card['cordialis.example:sources'];
  return {
    uid,
    ...(kind === undefined ? {} : { kind }),
    ...(keywords === undefined ? {} : { keywords }),
    ...(isPrivate === undefined ? {} : { 'cordialis.example:private': isPrivate }),
    ...(isArchived === undefined ? {} : { 'cordialis.example:archived': isArchived }),
    ...(sources === undefined ? {} : { 'cordialis.example:sources': sources }),
  };
}

/**
 * Whether a passport lets a card through. Its scope says which; what else it names narrows that, so that a passport that
 * says two things is for what both allow.
 *
 * @param members - of the lists that the passport is for
 */
export function isLetThrough(device: Device, card: Marks, members: ReadonlySet<string>): boolean {
  const { scope, tag, own } = device;
  if (scope === 'nothing' || card['cordialis.example:private'] === true) return false;
  const isKept = card['cordialis.example:sources']?.[device.name] === true;
  if ((scope === 'kept' || own === 1) && !isKept) return false;
  if (card.kind === 'group') return isListLetThrough(device, card.uid);
  if (card['cordialis.example:archived'] === true) return false;
  if (scope === 'tag' && tag === null) return false;
  if (tag !== null && card.keywords?.[tag] !== true) return false;
  return !isForLists(device) || members.has(card.uid);
}

/** Lists go to devices that can hold them; to one that gets some lists only, those. */
function isListLetThrough(device: Device, uid: string): boolean {
  if (device.groups === 0 || device.tag !== null || device.scope === 'tag') return false;
  return !isForLists(device) || listsOf(device).includes(uid);
}

/** Whether only those on some lists go, be there such lists or not. */
export function isForLists(device: Device): boolean {
  return device.scope === 'lists' || listsOf(device).length > 0;
}

/** The card without private values and without what the passport excludes. */
export function servedCard(card: Card, { notes, photos }: Pick<Device, 'notes' | 'photos'>): Card {
  const { notes: said, media, ...rest } = cardToSend(card, { withNotes: true });
  return {
    ...rest,
    ...(said && notes === 1 ? { notes: said } : {}),
    ...(media && photos === 1 ? { media } : {}),
  };
}

/** Whether two versions of a card say the same to a device, whenever they were written. */
export function isSameFor(device: Pick<Device, 'notes' | 'photos'>, one: Card, other: Card): boolean {
  const { updated: _, ...first } = servedCard(one, device);
  const { updated: __, ...second } = servedCard(other, device);
  return isSameJson(first, second);
}

/** The entity tag (RFC 9110 §8.8.3) of what a device may see of a card. */
export function etagOf(card: Card, { photoSide }: Pick<Device, 'photoSide'>): string {
  const text = JSON.stringify(photoSide === null || !card.media ? card : [card, photoSide]);
  return `"${createHash('sha256').update(text).digest('hex').slice(0, 32)}"`;
}
