import { useEffect, useMemo } from 'react';

import { selectCardsByUid, selectNewsById, useAppDispatch, useAppSelector } from '@/book/state';
import { isStillNews, type News } from '@/core/talks';

import { readNewsOfPeople } from './readNews';

/** News that nobody has accepted or dismissed, the latest first. */
export function useOpenNews(): readonly News[] {
  const dispatch = useAppDispatch();
  const byId = useAppSelector(selectNewsById);
  const cards = useAppSelector(selectCardsByUid);
  useEffect(() => void dispatch(readNewsOfPeople()), [dispatch]);
  return useMemo(
    () =>
      Object.values(byId ?? {})
        .flatMap(({ news, isDismissed }) => {
          const card = cards.get(news.uid);
          return card && isDismissed !== true && isStillNews(card, news) ? [news] : [];
        })
        .sort((a, b) => (a.day < b.day ? 1 : -1)),
    [byId, cards],
  );
}
