import { useEffect, useMemo, useRef, useState } from 'react';

import { selectLeads, selectReading, useAppSelector, useServices } from '@/book';
import { throughLeads } from '@/core/bundles';
import type { FoundCards } from '@/core/search';
import { localDay } from '@/platform';

/** Hits asked for at once: more than fit on any screen. */
const LIMIT = 30;

/** What a query finds, as soon as it is found; asked again while the book is still being read. */
export function useFind(query: string): FoundCards | undefined {
  const { search } = useServices();
  const reading = useAppSelector(selectReading);
  const [found, setFound] = useState<FoundCards>();
  const latest = useRef(0);
  useEffect(() => {
    latest.current += 1;
    const turn = latest.current;
    if (query.trim() === '') return;
    void search.find(query, LIMIT, localDay()).then((cards) => {
      // An answer that a later letter has overtaken is not shown.
      if (turn === latest.current) setFound(cards);
    });
  }, [query, search, reading]);
  const leads = useAppSelector(selectLeads);
  const shown = useMemo(() => found && { ...found, hits: throughLeads(found.hits, leads) }, [found, leads]);
  return query.trim() === '' ? undefined : shown;
}
