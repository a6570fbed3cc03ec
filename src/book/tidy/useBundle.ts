import { useMemo } from 'react';

import { selectCardsByUid, selectLeads, useAppSelector } from '@/book/state';
import type { Card } from '@/core/card';
import { bundledWith } from '@/core/tidy';

/** A card's place in a bundle. */
export interface BundleOf {
  /** The cards bundled under it; none for most cards. */
  readonly others: readonly Card[];
  /** The lead of its bundle. */
  readonly lead: Card | undefined;
}

/** The bundle of a card. Follows every change. */
export function useBundle(card: Card): BundleOf {
  const byUid = useAppSelector(selectCardsByUid);
  const leads = useAppSelector(selectLeads);
  const leadUid = leads.get(card.uid);
  const bundled = card['cordialis.example:bundled'];
  const others = useMemo(
    () => (bundled === undefined ? [] : bundledWith(card).flatMap((uid) => byUid.get(uid) ?? [])),
    [bundled, byUid, card],
  );
  return { others, lead: leadUid === undefined ? undefined : byUid.get(leadUid) };
}
