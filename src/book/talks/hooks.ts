import { useEffect, useMemo, useState } from 'react';

import type { Uid } from '@/core/card';
import {
  planToday,
  rankCloseness,
  type Rhythm,
  type Talk,
  type TalkSummary,
  talksWith,
  type TodayPlan,
} from '@/core/talks';
import { localDay, LOCALE } from '@/platform';

import { selectCardsByUid } from '../cards/cardsSlice';
import { useAppDispatch, useAppSelector, useServices } from '../hooks';
import { selectLists } from '../lists/selectLists';
import { selectOrder } from '../rows/rowsSlice';
import { selectSettings } from '../settings/settingsSlice';
import { selectIsOpen, selectReading } from '../status/statusSlice';
import type { UidMap } from '../uidMap';
import { useAnswer } from '../useAnswer';
import { readShards } from './changeTalks';
import { byCloseness, byLastTalk, type TalkPlace } from './talkOrder';
import { selectShards, selectSummaries } from './talksSlice';

/** Months that are read at once for a card's talks. */
const MONTHS_AT_ONCE = 6;

/** Talks with a card, the latest first, as far as they have been asked for. */
export interface TalksOf {
  readonly talks: readonly Talk[];
  /** How many there are in all. */
  readonly count: number;
  /** Reads further back; undefined once all have been read. */
  readonly more: (() => void) | undefined;
}

/** Talks with a card, the latest months first. Follows every change. */
export function useTalksWith(uid: Uid): TalksOf {
  const dispatch = useAppDispatch();
  const summary = useAppSelector((state) => selectSummaries(state).get(uid));
  const shards = useAppSelector(selectShards);
  const [wanted, setWanted] = useState(MONTHS_AT_ONCE);
  const all = summary?.months ?? [];
  const months = all.slice(-wanted);
  const key = months.join(' ');
  useEffect(() => {
    void dispatch(readShards(key.split(' ').filter(Boolean)));
  }, [dispatch, key]);
  const talks = useMemo(
    () =>
      talksWith(
        key.split(' ').flatMap((month) => shards[month] ?? []),
        uid,
      ),
    [key, shards, uid],
  );
  const more = wanted < all.length ? () => setWanted(wanted * 2) : undefined;
  return { talks, count: summary?.count ?? 0, more };
}

/** Closeness of everybody there were talks with. */
function closenessOf(summaries: UidMap<TalkSummary>, today: string): ReadonlyMap<Uid, number> {
  const known = summaries.uids().flatMap((uid) => {
    const summary = summaries.get(uid);
    return summary ? [[uid, summary] as const] : [];
  });
  return rankCloseness(known, today);
}

/** The rhythms that lists bring to those on them, by uid. */
export function useListRhythms(): ReadonlyMap<Uid, readonly Rhythm[]> {
  const { search } = useServices();
  const lists = useAppSelector(selectLists);
  const going = lists.flatMap((list) => {
    const rhythm = list['cordialis.example:rhythm'];
    return rhythm ? [{ uid: list.uid, rhythm }] : [];
  });
  const answer = useAnswer(JSON.stringify(going), async () => {
    const found = await Promise.all(going.map(({ uid }) => search.onList(uid, localDay())));
    const rhythms = new Map<Uid, Rhythm[]>();
    going.forEach(({ rhythm }, i) => {
      for (const uid of found[i] ?? []) rhythms.set(uid, [...(rhythms.get(uid) ?? []), rhythm]);
    });
    return rhythms;
  });
  return answer?.value ?? NO_RHYTHMS;
}

const NO_RHYTHMS: ReadonlyMap<Uid, readonly Rhythm[]> = new Map();

/** What the day asks for; nothing until the book has been read. @param ahead - days after today that are looked at */
export function useToday(ahead: number): TodayPlan {
  const cards = useAppSelector(selectCardsByUid);
  const summaries = useAppSelector(selectSummaries);
  const { leapDay, quietCount } = useAppSelector(selectSettings);
  const rhythms = useListRhythms();
  const today = localDay();
  const isRead = useAppSelector((state) => selectIsOpen(state) && selectReading(state) === undefined);
  return useMemo(() => {
    const closeness = closenessOf(summaries, today);
    // The whole book is gone through, which is not to be done anew for every piece of it that is read.
    const known = isRead ? cards.values() : [];
    return planToday(
      known.map((card) => ({
        card,
        summary: summaries.get(card.uid),
        closeness: closeness.get(card.uid) ?? 0,
        rhythms: rhythms.get(card.uid) ?? [],
      })),
      { today, leapDay, quietCount, ahead },
    );
  }, [ahead, cards, isRead, leapDay, quietCount, rhythms, summaries, today]);
}

/** The order of the Book where talks decide it; undefined where they don't. */
export function useTalkOrder(): readonly TalkPlace[] | undefined {
  const { sortBy } = useAppSelector(selectSettings);
  const order = useAppSelector(selectOrder);
  const summaries = useAppSelector(selectSummaries);
  const today = localDay();
  return useMemo(() => {
    if (sortBy === 'talk') return byLastTalk(order, (uid) => summaries.get(uid), LOCALE);
    if (sortBy !== 'closeness') return undefined;
    return byCloseness(order, closenessOf(summaries, today));
  }, [order, sortBy, summaries, today]);
}
