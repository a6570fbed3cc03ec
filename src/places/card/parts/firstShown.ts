import type { Uid } from '@/core/card';

/** A card that is to begin with its details when it is next shown: it has just been edited. */
let edited: Uid | undefined;

/** Has a card begin with its details, whatever else it would begin with. */
export function beginWithDetails(uid: Uid): void {
  edited = uid;
}

/** Whether a card is to begin with its details. */
export function beginsWithDetails(uid: Uid): boolean {
  return edited === uid;
}

/** The card has been shown: the next time it begins as all do. */
export function hasBegun(uid: Uid): void {
  if (edited === uid) edited = undefined;
}
