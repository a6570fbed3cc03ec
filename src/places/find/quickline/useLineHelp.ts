import { useEffect, useState } from 'react';

import { selectSettings, useAnswer, useAppSelector, useServices } from '@/book/state';
import { useToday } from '@/book/talks';
import type { LineHelp } from '@/book/workers';
import { localDay } from '@/platform';
import { texts } from '@/texts/find/quickline';

/** Shorter pauses are between two letters of a word. */
const PAUSE_MS = 80;
const NONE: LineHelp = { parts: [], rest: '' };

/** What helps with a line as it stands; nothing while it is being typed. */
export function useLineHelp(query: string, isWanted: boolean): LineHelp {
  const { search } = useServices();
  const { recentActs } = useAppSelector(selectSettings);
  const [paused, setPaused] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setPaused(query), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [query]);
  const used = [...new Set(recentActs.map(({ uid }) => uid))];
  const isAsked = isWanted && paused === query && query.trim() !== '';
  const answer = useAnswer(query, isAsked ? () => search.help(query, localDay(), used) : undefined);
  return answer?.key === query && query.trim() !== '' ? answer.value : NONE;
}

/** Lines that make sense on this book, for an empty line; none until they are known. */
export function useLineExamples(isWanted: boolean): readonly string[] {
  const { search } = useServices();
  const { recentActs } = useAppSelector(selectSettings);
  const people = [...new Set(recentActs.map(({ uid }) => uid))];
  return (
    useAnswer('examples', isWanted ? () => search.examples(localDay(), people) : undefined, isWanted)
      ?.value ?? []
  );
}

/** What the day asks for, in a few words: "2 late, 1 to greet"; '' where that is nothing, or isn't known. */
export function useDueNow(isWanted: boolean): string {
  const plan = useToday(0, isWanted);
  if (!plan) return '';
  const counts = [
    [plan.late.length, texts.late],
    [plan.due.length, texts.due],
    [plan.greetings.length, texts.toGreet],
    [plan.followUps.length, texts.toFollowUp],
  ] as const;
  return counts.flatMap(([count, say]) => (count === 0 ? [] : say(count))).join(', ');
}
