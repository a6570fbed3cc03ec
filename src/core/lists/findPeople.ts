import type { Card, Uid } from '@/core/card';

import { isList, memberUids } from './list';

/** Looks a card up; undefined where there is none. */
export type GetCard = (uid: Uid) => Card | undefined;

/**
 * Everybody on a list and on the lists on it, each once, in the order in which they come up. Members without a card
 * and lists that lead back to themselves are passed over.
 */
export function findPeople(list: Card, getCard: GetCard): Uid[] {
  const people = new Set<Uid>();
  const seen = new Set<Uid>([list.uid]);
  const visit = (one: Card) => {
    for (const uid of memberUids(one)) {
      const card = getCard(uid);
      if (!card) continue;
      if (!isList(card)) people.add(uid);
      else if (!seen.has(uid)) {
        seen.add(uid);
        visit(card);
      }
    }
  };
  visit(list);
  return [...people];
}

/** Whether a list would contain itself, at any depth, after adding a card. */
export function wouldContainItself(list: Card, memberUid: Uid, getCard: GetCard): boolean {
  if (memberUid === list.uid) return true;
  const seen = new Set<Uid>();
  const leadsBack = (uid: Uid): boolean => {
    if (uid === list.uid) return true;
    const card = getCard(uid);
    if (!card || !isList(card) || seen.has(uid)) return false;
    seen.add(uid);
    return memberUids(card).some(leadsBack);
  };
  return leadsBack(memberUid);
}
