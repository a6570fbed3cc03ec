import { useEffect, useState } from 'react';

import type { NamedPoint } from '@/core/search';

import { selectCardsByUid } from '../cards/cardsSlice';
import { useAppSelector, useServices } from '../hooks';
import type { WhereCards } from '../workers/search';

/** Where the cards are; undefined until it is known. Follows every change. */
export function useWhereabouts(): WhereCards | undefined {
  const { search } = useServices();
  const byUid = useAppSelector(selectCardsByUid);
  const [where, setWhere] = useState<WhereCards>();
  useEffect(() => {
    let isCurrent = true;
    void search.locate().then((found) => {
      if (isCurrent) setWhere(found);
    });
    return () => {
      isCurrent = false;
    };
  }, [byUid, search]);
  return where;
}

/** A place by its name, or that of a card; null where there is none, undefined until it is known. */
export function usePointOf(name: string): NamedPoint | null | undefined {
  const { search } = useServices();
  const [answer, setAnswer] = useState<{ name: string; point: NamedPoint | null }>();
  useEffect(() => {
    if (name.trim() === '') return;
    let isCurrent = true;
    void search.pointOf(name).then((point) => {
      if (isCurrent) setAnswer({ name, point: point ?? null });
    });
    return () => {
      isCurrent = false;
    };
  }, [name, search]);
  return answer?.name === name ? answer.point : undefined;
}
