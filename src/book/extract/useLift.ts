import { useEffect, useState } from 'react';

import type { LiftedNow } from '@/book/clients';
import { selectCardsByUid, selectSettings, useAppSelector, useServices } from '@/book/state';
import { newCard } from '@/core/card';
import type { LiftCorrection } from '@/core/extract';

/** How long somebody must have stopped typing before the text is read, in milliseconds. */
const PAUSE_MS = 200;

/** The card that a text holds, as it was read last; undefined while there is none. */
export function useLift(text: string, corrections: readonly LiftCorrection[]): LiftedNow | undefined {
  const { twins, newUid, utcNow } = useServices();
  const book = useAppSelector(selectCardsByUid);
  const { country } = useAppSelector(selectSettings);
  const [uid] = useState(newUid);
  const [lifted, setLifted] = useState<LiftedNow>();
  useEffect(() => {
    let isCurrent = true;
    const timer = setTimeout(() => {
      if (text.trim() === '') return setLifted(undefined);
      const wish = { text, country, corrections, empty: { ...newCard(uid, utcNow()), kind: 'individual' } };
      void twins.lift(wish, book).then((now) => {
        if (isCurrent) setLifted(now);
      });
    }, PAUSE_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [text, corrections, country, book, twins, uid, utcNow]);
  return lifted;
}
