import { useMemo } from 'react';

import { selectSteps, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { describeChanges } from '@/core/talks';

/**
 * What has changed on a card since a day, in words, as far as the history is at hand; '' for nothing.
 *
 * @param day - ISO 8601 calendar date; undefined says nothing is new
 */
export function useNewsOf(uid: Uid, day: string | undefined): string {
  const steps = useAppSelector(selectSteps);
  return useMemo(() => {
    if (day === undefined) return '';
    const properties = steps.flatMap(({ at, state, fields }) =>
      state === 'done' && at.slice(0, 10) > day ? (fields?.[uid] ?? []) : [],
    );
    return describeChanges(properties);
  }, [steps, day, uid]);
}
