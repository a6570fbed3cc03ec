import { isSameJson } from '@/core/base';
import { type Card, rebaseJson, type Uid, uniteJson } from '@/core/card';

/** A change of one card. It is worked out on the card as it is when it is committed, not as it was when it was asked for. */
export interface CardEdit {
  readonly uid: Uid;
  /**
   * The card as it shall be; undefined where there shall be none, the very same object where nothing changes.
   *
   * @param now - undefined where there is no such card
   */
  readonly apply: (now: Card | undefined) => Card | undefined;
}

/** A new card. Where there is one of its uid already, that one gets the values of this one. */
export function added(card: Card): CardEdit {
  return { uid: card.uid, apply: (now) => (now ? uniteJson(now, card) : card) };
}

/**
 * What was changed from one version of a card to another is changed on the card as it is; everything else stays as it
 * is. A card deleted in the meantime comes back: an edit counts more than a deletion.
 */
export function changed(before: Card, after: Card): CardEdit {
  return {
    uid: after.uid,
    apply: (now) => {
      if (before === after) return now;
      return !now || now === before ? after : rebaseJson(before, after, now);
    },
  };
}

/** Changes of several cards, each from the version of it that was at hand; new ones where there was none. */
export function editsTo(cards: readonly Card[], beforeOf: (uid: Uid) => Card | undefined): CardEdit[] {
  return cards.map((after) => {
    const before = beforeOf(after.uid);
    return before ? changed(before, after) : added(after);
  });
}

/** A change of a card that is still there. @param change - gives undefined to delete it */
export function edited(uid: Uid, change: (now: Card) => Card | undefined): CardEdit {
  return { uid, apply: (now) => now && change(now) };
}

/** A deletion. A card that has been changed in the meantime stays. @param card - as it was when it was decided */
export function removed(card: Card): CardEdit {
  return { uid: card.uid, apply: (now) => (now && now !== card && !isSameJson(now, card) ? now : undefined) };
}
