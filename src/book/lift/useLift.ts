import { useEffect, useState } from 'react';

import { newCard } from '@/core/card';
import type { LiftCorrection } from '@/core/lift';

import { selectCardsByUid } from '../cards/cardsSlice';
import type { LiftedNow } from '../clients/twinsClient';
import { useAppSelector, useServices } from '../hooks';
import { selectSettings } from '../settings/settingsSlice';

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
