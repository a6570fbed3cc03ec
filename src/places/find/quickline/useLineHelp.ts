import { useEffect, useState } from 'react';

import { selectSettings, useAnswer, useAppSelector, useServices } from '@/book/state';
import { dayInWords, useToday } from '@/book/talks';
import type { LineHelp } from '@/book/workers';
import type { Uid } from '@/core/card';
import { localDay } from '@/platform';

/** Shorter pauses are between two letters of a word. */
const PAUSE_MS = 80;
const NONE: LineHelp = { parts: [], rest: '' };

/** What helps with a line as it stands; nothing while it is being typed. */
export function useLineHelp(query: string, isWanted: boolean): LineHelp {
  const { search } = useServices();
  const used = useUsedLately();
  const [paused, setPaused] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setPaused(query), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [query]);
  const isAsked = isWanted && paused === query && query.trim() !== '';
  const answer = useAnswer(query, isAsked ? () => search.help(query, localDay(), used) : undefined);
  return answer?.key === query && query.trim() !== '' ? answer.value : NONE;
}

/** Lines that make sense on this book, for an empty line; none until they are known. */
export function useLineExamples(isWanted: boolean): readonly string[] {
  const { search } = useServices();
  const used = useUsedLately();
  const answer = useAnswer('examples', isWanted ? () => search.examples(localDay(), used) : undefined);
  return answer?.value ?? [];
}

/** Cards that something was done with from the line, the latest first. */
function useUsedLately(): readonly Uid[] {
  const { recentActs } = useAppSelector(selectSettings);
  return [...new Set(recentActs.map(({ uid }) => uid))];
}

/** What the day asks for, in a few words; '' where that is nothing, or isn't known. */
export function useDueNow(isWanted: boolean): string {
  const plan = useToday(0, isWanted);
  return plan ? dayInWords(plan) : '';
}
