import { useRef, useState } from 'react';

import { changeMany, type ManyChangeRequest } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { texts } from '@/texts/card/many';

/** Cards that are changed before anybody would look for progress. */
const SHOWN_ABOVE = 200;

/** Does something to many cards, showing how far it is where that takes its time. */
export function useChangeMany() {
  const dispatch = useAppDispatch();
  const [running, setRunning] = useState<{ text: string; share01: number }>();
  const isStopped = useRef(false);
  const change = async (wish: ManyChangeRequest) => {
    isStopped.current = false;
    const text = texts.changingCards(wish.cards.length);
    // What is done at once needs no word about how far it is.
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
