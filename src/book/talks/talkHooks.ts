import { useEffect, useMemo, useState } from 'react';

import type { UidMap } from '@/book/clients';
import { readShards } from '@/book/commit';
import {
  selectIsOpen,
  selectLeads,
  selectLists,
  selectOrder,
  selectReading,
  selectSettings,
  selectShards,
  selectSummaries,
  useAnswer,
  useAppDispatch,
  useAppSelector,
  useServices,
} from '@/book/state';
import type { Card, Uid } from '@/core/card';
import {
  balanceOf,
  rankCloseness,
  type Rhythm,
  type RhythmBalance,
  type Talk,
  type TalkSummary,
  talksWith,
  type TodayPlan,
} from '@/core/talks';
import { planForBundles } from '@/core/tidy';
import { localDay, LOCALE } from '@/platform';

import { byCloseness, byLastTalk, type TalkPlace } from './talkOrder';

/** Months that are read at once for a card's talks. */
const MONTHS_AT_ONCE = 6;

/** Talks with a card, the latest first, as far as they have been asked for. */
export interface TalksOf {
  readonly talks: readonly Talk[];
  /** How many there are in all. */
  readonly count: number;
  /** Reads further back; undefined once all have been read. */
  readonly more: (() => void) | undefined;
  /** Whether the latest of them are at hand; stays so once they have been. */
  readonly isKnown: boolean;
}

/** Talks with a card, or with those of a bundle, the latest months first. Follows every change. */
export function useTalksWith(uids: readonly Uid[]): TalksOf {
  const dispatch = useAppDispatch();
  const summaries = useAppSelector(selectSummaries);
  const [wanted, setWanted] = useState(MONTHS_AT_ONCE);
  const who = uids.join(' ');
  const summariesOf = who.split(' ').flatMap((uid) => summaries.get(uid) ?? []);
  const all = [...new Set(summariesOf.flatMap(({ months }) => months))].sort();
  const months = all.slice(-wanted);
  const key = months.join(' ');
  useEffect(() => {
    void dispatch(readShards(key.split(' ').filter(Boolean)));
  }, [dispatch, key]);
  const talks = useTalksAtHand(key, who);
  const isRead = useAppSelector((state) => months.every((month) => selectShards(state)[month]));
  const [known, setKnown] = useState('');
  if (isRead && known !== who) setKnown(who);
  const more = wanted < all.length ? () => setWanted(wanted * 2) : undefined;
  return {
    ...{ talks, more, isKnown: isRead || known === who },
    count: summariesOf.reduce((sum, { count }) => sum + count, 0),
  };
}

/** @param months - such as 2026-11, and @param who - uids, each with spaces between */
function useTalksAtHand(months: string, who: string): readonly Talk[] {
  const shards = useAppSelector(selectShards);
  return useMemo(() => {
    const read = months.split(' ').flatMap((month) => shards[month] ?? []);
    return talksWith(read, who.split(' '));
  }, [months, shards, who]);
}

/** All talks of some months, with anybody. Follows every change; undefined until the months have been read. */
export function useTalksInMonths(months: readonly string[]): readonly Talk[] | undefined {
  const dispatch = useAppDispatch();
  const shards = useAppSelector(selectShards);
  const isOpen = useAppSelector(selectIsOpen);
  const key = months.join(' ');
  useEffect(() => {
    if (isOpen) void dispatch(readShards(key.split(' ').filter(Boolean)));
  }, [dispatch, isOpen, key]);
  return useMemo(() => {
    const wanted = key.split(' ').filter(Boolean);
    return wanted.every((month) => shards[month])
      ? wanted.flatMap((month) => shards[month] ?? [])
      : undefined;
  }, [key, shards]);
}

/** Closeness of everybody there were talks with. */
function closenessOf(summaries: UidMap<TalkSummary>, today: string): ReadonlyMap<Uid, number> {
  const known = summaries.uids().flatMap((uid) => {
    const summary = summaries.get(uid);
    return summary ? [[uid, summary] as const] : [];
  });
  return rankCloseness(known, today);
}

/** Closeness of one card, 0 to 100 by rank; undefined where there was no talk, or until it is known. */
export function useCloseness(uid: Uid): number | undefined {
  const { search } = useServices();
  const answer = useAnswer(uid, () => search.closenessOf(uid, localDay()));
  return answer?.key === uid ? answer.value : undefined;
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

/**
 * What the day asks for, worked out in the worker; undefined until the book has been read.
 *
 * @param ahead - days after today that are looked at; undefined for as many as the user has set
 * @param isAsked - whether anybody wants to know
 */
export function useToday(ahead?: number, isAsked = true): TodayPlan | undefined {
  const { search } = useServices();
  const { leapDay, quietCount, almanacDays, daysOf } = useAppSelector(selectSettings);
  const isRead = useAppSelector((state) => selectIsOpen(state) && selectReading(state) === undefined);
  const leads = useAppSelector(selectLeads);
  const list = daysOf === '' ? undefined : daysOf;
  const question = { today: localDay(), leapDay, quietCount, ahead: ahead ?? almanacDays, list };
  const key = JSON.stringify([question, isRead]);
  const answer = useAnswer(key, isRead && isAsked ? () => search.today(question) : undefined);
  const plan = answer?.value;
  return useMemo(() => plan && planForBundles(plan, (uid) => leads.get(uid)), [plan, leads]);
}

/** How well each list's rhythm is kept; lists without an active rhythm have none. */
export function useRhythmBalances(): readonly ListBalance[] {
  const { search } = useServices();
  const lists = useAppSelector(selectLists);
  const summaries = useAppSelector(selectSummaries);
  const going = lists.filter(({ 'cordialis.example:rhythm': rhythm }) => rhythm && rhythm.paused !== true);
  const answer = useAnswer(
    JSON.stringify(going.map(({ uid, 'cordialis.example:rhythm': rhythm }) => [uid, rhythm])),
    async () => {
      const today = localDay();
      const members = await Promise.all(going.map(({ uid }) => search.onList(uid, today)));
      return going.flatMap((list, i): ListBalance[] => {
        const rhythm = list['cordialis.example:rhythm'];
        const last = (members[i] ?? []).map((uid) => summaries.get(uid));
        return rhythm ? [{ list, ...balanceOf(rhythm, last, today) }] : [];
      });
    },
  );
  return answer?.value ?? [];
}

/** A list and how its rhythm is kept. */
export interface ListBalance extends RhythmBalance {
  readonly list: Card;
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
