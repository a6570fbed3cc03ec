import { useMemo } from 'react';

import { selectHistory, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { describeChanges } from '@/core/talks';

/**
 * What has changed on a card since a day, in words, as far as the history is at hand; '' for nothing.
 *
 * @param day - ISO 8601 calendar date; undefined says nothing is new
 */
export function useNewsOf(uid: Uid, day: string | undefined): string {
  const changes = useAppSelector(selectHistory);
  return useMemo(() => {
    if (day === undefined) return '';
    const properties = changes.flatMap(({ at, state, cards }) =>
      state === 'done' && at.slice(0, 10) > day
        ? cards.flatMap((one) =>
            one.uid === uid && one.kind === 'edit' ? one.edits.map(({ path }) => String(path[0])) : [],
          )
        : [],
    );
    return describeChanges(properties);
  }, [changes, day, uid]);
}
