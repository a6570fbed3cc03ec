import { useEffect, useMemo } from 'react';

import { selectCardsByUid, selectUnfiledByAddress, useAppDispatch, useAppSelector } from '@/book/state';
import type { Unfiled } from '@/core/talks';

import { addressBook, readUnfiled } from './changeUnfiled';

/** Addresses without a card; those that are ignored apart. Undefined until they have been read. */
export interface UnfiledView {
  /** The ones written to most often first. */
  readonly open: readonly Unfiled[];
  readonly ignored: readonly Unfiled[];
}

/** What is unfiled now: an address that has a card by now is not among it. Follows every change. */
export function useUnfiled(): UnfiledView | undefined {
  const dispatch = useAppDispatch();
  const byAddress = useAppSelector(selectUnfiledByAddress);
  const cards = useAppSelector(selectCardsByUid);
  useEffect(() => {
    void dispatch(readUnfiled());
  }, [dispatch]);
  return useMemo(() => {
    if (!byAddress) return undefined;
    const known = addressBook(cards.values());
    const all = Object.values(byAddress)
      .filter(({ address }) => !known.has(address))
      .sort((a, b) => b.count - a.count || (a.address < b.address ? -1 : 1));
    return {
      open: all.filter(({ isIgnored }) => isIgnored !== true),
      ignored: all.filter(({ isIgnored }) => isIgnored === true),
    };
  }, [byAddress, cards]);
}
