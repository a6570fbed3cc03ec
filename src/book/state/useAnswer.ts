import { useEffect, useRef, useState } from 'react';

import { selectCardsByUid } from './cardsSlice';
import { useAppSelector } from './hooks';
import { selectSummaries } from './talksSlice';

/**
 * The latest answer to a query, repeated after every change of a card or a talk.
 *
 * @param key - stands for the question
 * @param ask - undefined where there is nothing to ask; what was answered last stays
 * @param more - something beside the book that changes the answer
 */
export function useAnswer<T>(
  key: string,
  ask: (() => Promise<T>) | undefined,
  more?: unknown,
): { readonly key: string; readonly value: T } | undefined {
  const byUid = useAppSelector(selectCardsByUid);
  const summaries = useAppSelector(selectSummaries);
  const [answer, setAnswer] = useState<{ key: string; value: T }>();
  const isAsked = ask !== undefined;
  const now = useRef({ key, asked: 0, answered: 0 });
  useEffect(() => {
    if (now.current.key !== key) now.current = { key, asked: 0, answered: 0 };
    const question = now.current;
    question.asked += 1;
    const turn = question.asked;
    // While a book is being read every change asks again: what an earlier one gives is better than nothing.
    void ask?.().then((value) => {
      if (question !== now.current || turn <= question.answered) return;
      question.answered = turn;
      setAnswer({ key, value });
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the question
  }, [byUid, summaries, key, more, isAsked]);
  return answer;
}
