import { useMemo } from 'react';

import { selectLeads, selectReading, useAnswer, useAppSelector, useServices } from '@/book/state';
import type { FoundCards } from '@/core/find';
import { throughLeads } from '@/core/tidy';
import { localDay } from '@/platform';

/** Hits asked for at once: more than fit on any screen. */
const LIMIT = 30;

/** What a query finds. */
interface Find {
  /** What was found last: until the answer has come, by the letters before. */
  readonly found: FoundCards | undefined;
  /** Whether that is the answer to the query as it stands. */
  readonly isKnown: boolean;
}

/** What a query finds, as soon as it is found; asked again after every change and while the book is still being read. */
export function useFind(query: string): Find {
  const { search } = useServices();
  const reading = useAppSelector(selectReading);
  const isEmpty = query.trim() === '';
  const answer = useAnswer(query, isEmpty ? undefined : () => search.find(query, LIMIT, localDay()), reading);
  const leads = useAppSelector(selectLeads);
  const found = useMemo(
    () => answer && { ...answer.value, hits: throughLeads(answer.value.hits, leads) },
    [answer, leads],
  );
  if (isEmpty) return { found: undefined, isKnown: true };
  return { found, isKnown: answer?.key === query };
}
