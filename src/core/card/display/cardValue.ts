import type { LeapDayRule } from '../dates/nextAnniversary';
import { formatLabel } from '../label';
import type { Preferable } from '../preferEntry';
import type { Card } from '../schema/types';

/** What the display depends on besides the card. */
export interface ShowOptions {
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  /** BCP 47, for dates in words. */
  readonly locale: string;
  /** ISO 8601 calendar date where the user is. */
  readonly today: string;
  /** For paper and messages: leaves out what is true only today. */
  readonly isToKeep?: boolean;
  /** Where 29 February is kept in a year without one. */
  readonly leapDay?: LeapDayRule;
  /** What another card is called. */
  readonly nameOf?: (uid: string) => string | undefined;
  /** The card of an organisation by its name. */
  readonly organisationOf?: (name: string) => Card | undefined;
  /** The people of an organisation by its name. */
  readonly peopleOf?: (name: string) => readonly Card[];
  /** The time it is now in an IANA time zone. */
  readonly timeIn?: (zone: string) => string | undefined;
}

/** One value of a card. */
export interface CardValue {
  /** The collection and the id of the entry it shows; entries of these can be preferred, removed, edited. */
  readonly collection: string;
  readonly id: string;
  readonly lines: readonly string[];
  /** What kind it is and what else there is to know: "work, preferred"; '' for nothing. */
  readonly second: string;
  /** What pressing it opens; without one it is copied. */
  readonly uri?: string;
  /** Another thing to open with it: a message to a number. */
  readonly messageUri?: string;
  /** Another card that pressing it opens. */
  readonly cardUid?: string;
  /** A file that pressing it saves: its bytes as a data: URI, or where they are kept. */
  readonly file?: { readonly name: string; readonly uri?: string; readonly blobId?: string };
  /** The text that copying gives. */
  readonly copy: string;
  readonly preferable?: Preferable;
  readonly isPreferred?: boolean;
}

/** The values of one kind, under their heading on the page. */
export interface ValueGroup {
  readonly label: string;
  readonly values: readonly CardValue[];
}

/** Words with commas between, those that are there. */
export function joined(...parts: readonly (string | undefined)[]): string {
  return parts.filter(Boolean).join(', ');
}

type Entries<T> = Readonly<Record<string, T>> | undefined;

/** A value for each entry of a collection. */
export function each<T>(
  entries: Entries<T>,
  collection: string,
  lines: (entry: T) => string[],
  second: (entry: T) => string = () => '',
): CardValue[] {
  return Object.entries(entries ?? {}).map(([id, entry]) => {
    const shown = lines(entry).filter((line) => line !== '');
    return { collection, id, lines: shown, second: second(entry), copy: shown.join('\n') };
  });
}

type Used = Parameters<typeof formatLabel>[0] & { readonly pref?: number };

/** What an entry says about its use, in words. */
export function used(entry: Used) {
  const isPreferred = entry.pref === 1;
  return { second: joined(formatLabel(entry), isPreferred ? 'preferred' : ''), isPreferred };
}
