import type { Cause } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import type { Card, Uid } from '@/core/card';
import { newsBetween } from '@/core/talks';
import type { Cluster } from '@/core/tidy';
import { localDay } from '@/platform';

import { addNews } from './readNews';

/** Causes whose duplicates bring news of the card they duplicate. */
const SOURCES: Partial<Record<Cause, 'import' | 'device'>> = { import: 'import', sync: 'device' };

/**
 * Where a new card is a duplicate of an existing one, what only the new one says is news of the first: it
 * can be taken over value by value, or the two merged.
 *
 * @param fresh - uids of the cards that weren't there before
 */
export function noteDuplicateNews(
  cause: Cause,
  fresh: ReadonlySet<Uid>,
  found: readonly Cluster[],
): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    const from = SOURCES[cause];
    const pairs = found.filter(
      ({ uids, grade }) =>
        grade !== 'possible' && uids.length === 2 && uids.filter((uid) => fresh.has(uid)).length === 1,
    );
    if (from === undefined || pairs.length === 0) return;
    const cards = selectCardsByUid(getState());
    const cardsOf = (uids: readonly Uid[]): Card[] => uids.flatMap((uid) => cards.get(uid) ?? []);
    const { country } = selectSettings(getState());
    const news = pairs.flatMap(({ uids }) => {
      const [own] = cardsOf(uids.filter((uid) => !fresh.has(uid)));
      const [other] = cardsOf(uids.filter((uid) => fresh.has(uid)));
      return own && other ? newsBetween(own, other, { uid: own.uid, day: localDay(), from, country }) : [];
    });
    await dispatch(addNews(news));
  };
}
