import { useMemo } from 'react';

import { selectCardsByUid, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';

/** The card that one was merged into, by its old uid; undefined where it never was in the book, or is deleted. */
export function useMergedInto(uid: Uid): Uid | undefined {
  const byUid = useAppSelector(selectCardsByUid);
  return useMemo(
    () => byUid.values().find((card) => card['cordialis.example:was']?.[uid] !== undefined)?.uid,
    [byUid, uid],
  );
}
