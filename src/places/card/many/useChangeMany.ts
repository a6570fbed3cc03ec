import { useRef, useState } from 'react';

import { changeMany, type ManyChangeRequest } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { texts } from '@/texts/card/many';

/** A change of this many cards is too quick to show progress. */
const SHOWN_ABOVE = 200;

/** Changes many cards, showing progress where it takes time. */
export function useChangeMany() {
  const dispatch = useAppDispatch();
  const [running, setRunning] = useState<{ text: string; share01: number }>();
  const isStopped = useRef(false);
  const change = async (wish: ManyChangeRequest) => {
    isStopped.current = false;
    const text = texts.changingCards(wish.cards.length);
    // What is done at once shows no progress.
    if (wish.cards.length > SHOWN_ABOVE) setRunning({ text, share01: 0 });
    try {
      await dispatch(
        changeMany(wish, {
          onProgress: (share01) => setRunning({ text, share01 }),
          isStopped: () => isStopped.current,
        }),
      );
    } finally {
      setRunning(undefined);
    }
  };
  return { running, change, stop: () => (isStopped.current = true) };
}
