import { type Card, parsePointer, shownAs, valueText } from '@/core/card';
import type { DeviceStatus, ToSettle } from '@/core/sync';
import { formatDay, localMoment } from '@/platform';
import { texts } from '@/texts/sync/sync';

/** A moment for people: the time where it is today, else the day. @param now - milliseconds since 1970 */
export function formatMoment(utc: string, now: number): string {
  const { day, time } = localMoment(Date.parse(utc));
  return day === localMoment(now).day ? time : formatDay(utc);
}

/** How a device stands, in a few words. */
export function standingOf(device: DeviceStatus, now: number): string {
  const [last] = device.syncs;
  if (device.isPaused) return texts.paused;
  const fault = last?.fault ?? null;
  if (last && fault !== null) return `${formatMoment(last.at, now)}: ${fault}`;
  if (device.seen === null) return texts.notSyncedYet;
  const next = device.next === null ? '' : texts.next(formatMoment(device.next, now));
  return texts.cardsLast(device.cards, formatMoment(device.seen, now), next);
}

/** In which direction cards go. */
export const DIRECTIONS = [
  ['both', texts.bothWays],
  ['out', texts.onlyFromHereToDevice],
  ['in', texts.onlyFromDeviceToHere],
] as const;

const PLACES: Readonly<Record<string, string>> = {
  emails: texts.mailAddress,
  phones: texts.number,
  addresses: texts.address,
  organizations: texts.organisation,
  titles: texts.title,
  name: texts.name,
  notes: texts.note,
  nicknames: texts.nickname,
  anniversaries: texts.day,
  links: texts.link,
  onlineServices: texts.account,
  media: texts.picture,
};

/** What a value to settle is, in words. */
export function describePlace({ path }: ToSettle): string {
  const [collection = ''] = parsePointer(path);
  return PLACES[collection] ?? collection.replace(/^cordialis\.example:/, '');
}

/** A value as it is read; that there is none, in words. */
export function describeValue(value: unknown): string {
  return valueText(value) || texts.nothing;
}

/** The name of the card whose value it is. */
export function describeOwner(card: Card | undefined): string {
  return card ? shownAs(card) : texts.cardThatHasGone;
}
