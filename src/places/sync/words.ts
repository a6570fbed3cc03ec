import { isObject } from '@/core/base';
import { type Card, parsePointer, shownAs } from '@/core/card';
import type { DeviceStatus, ToSettle } from '@/core/sync';
import { formatCount, formatDay, localMoment } from '@/platform';

/** A moment for people: the time where it is today, else the day. @param now - milliseconds since 1970 */
export function formatMoment(utc: string, now: number): string {
  const { day, time } = localMoment(Date.parse(utc));
  return day === localMoment(now).day ? time : formatDay(utc);
}

/** How a device stands, in a few words. */
export function standingOf(device: DeviceStatus, now: number): string {
  const [last] = device.syncs;
  if (device.isPaused) return 'Paused';
  const fault = last?.fault ?? null;
  if (last && fault !== null) return `${formatMoment(last.at, now)}: ${fault}`;
  if (device.seen === null) return 'Not synced yet';
  const next = device.next === null ? '' : `, next ${formatMoment(device.next, now)}`;
  return `${formatCount(device.cards, 'card', 'cards')} · last ${formatMoment(device.seen, now)}${next}`;
}

/** In which direction cards go. */
export const DIRECTIONS = [
  ['both', 'Both ways'],
  ['out', 'Only from here to the device'],
  ['in', 'Only from the device to here'],
] as const;

const PLACES: Readonly<Record<string, string>> = {
  emails: 'Mail address',
  phones: 'Number',
  addresses: 'Address',
  organizations: 'Organisation',
  titles: 'Title',
  name: 'Name',
  notes: 'Note',
  nicknames: 'Nickname',
  anniversaries: 'Day',
  links: 'Link',
  onlineServices: 'Account',
  media: 'Picture',
};

/** What a value to settle is, in words. */
export function describePlace({ path }: ToSettle): string {
  const [collection = ''] = parsePointer(path);
  return PLACES[collection] ?? collection.replace(/^cordialis\.example:/, '');
}

/** A value as it is read: a text as it stands, anything else part by part. */
export function describeValue(value: unknown): string {
  if (typeof value === 'string') return value;
  if (Array.isArray(value)) return value.map(describeValue).join(' ');
  if (isObject(value)) {
    if (typeof value['value'] === 'string') return value['value'];
    return Object.entries(value)
      .filter(([key]) => key !== 'kind' && !key.startsWith('@'))
      .map(([, part]) => describeValue(part))
      .join(' ');
  }
  return value === undefined || value === null ? 'nothing' : String(value);
}

/** Whose value it is: the card's name, or what is left of it. */
export function describeOwner(card: Card | undefined): string {
  return card ? shownAs(card) : 'A card that has gone';
}
