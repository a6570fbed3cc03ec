import { useEffect, useState } from 'react';

import { selectCardsByUid } from './cardsSlice';
import { useAppSelector } from './hooks';

/**
 * The latest answer to a query, repeated after every change.
 *
 * @param key - stands for the question
 * @param more - something beside the cards that changes the answer
 */
export function useAnswer<T>(
  key: string,
  ask: () => Promise<T>,
  more?: unknown,
): { readonly key: string; readonly value: T } | undefined {
  const byUid = useAppSelector(selectCardsByUid);
  const [answer, setAnswer] = useState<{ key: string; value: T }>();
  useEffect(() => {
    let isCurrent = true;
    void ask().then((value) => {
      if (isCurrent) setAnswer({ key, value });
    });
    return () => {
      isCurrent = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the question
  }, [byUid, key, more]);
  return answer;
}
