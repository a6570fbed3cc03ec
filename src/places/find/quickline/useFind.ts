import { useEffect, useMemo, useRef, useState } from 'react';

import { selectLeads, selectReading, useAppSelector, useServices } from '@/book/state';
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

/** What a query finds, as soon as it is found; asked again while the book is still being read. */
export function useFind(query: string): Find {
  const { search } = useServices();
  const reading = useAppSelector(selectReading);
  const [answer, setAnswer] = useState<{ readonly query: string; readonly cards: FoundCards }>();
  const latest = useRef(0);
  useEffect(() => {
    latest.current += 1;
    const turn = latest.current;
    if (query.trim() === '') return;
    void search.find(query, LIMIT, localDay()).then((cards) => {
      // An answer that a later letter has overtaken is not shown.
      if (turn === latest.current) setAnswer({ query, cards });
    });
  }, [query, search, reading]);
  const leads = useAppSelector(selectLeads);
  const found = useMemo(
    () => answer && { ...answer.cards, hits: throughLeads(answer.cards.hits, leads) },
    [answer, leads],
  );
  if (query.trim() === '') return { found: undefined, isKnown: true };
  return { found, isKnown: answer?.query === query };
}
