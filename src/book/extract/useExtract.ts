import { useEffect, useState } from 'react';

import type { ExtractResult } from '@/book/clients';
import { selectCardsByUid, selectSettings, useAppSelector, useServices } from '@/book/state';
import { newCard } from '@/core/card';
import type { SpanCorrection } from '@/core/extract';

/** How long somebody must have stopped typing before the text is read, in milliseconds. */
const PAUSE_MS = 200;

/** The card that a text holds, as it was read last; undefined while there is none. */
export function useExtract(text: string, corrections: readonly SpanCorrection[]): ExtractResult | undefined {
  const { inspector, newUid, utcNow } = useServices();
  const book = useAppSelector(selectCardsByUid);
  const { country } = useAppSelector(selectSettings);
  const [uid] = useState(newUid);
  const [extracted, setLifted] = useState<ExtractResult>();
  useEffect(() => {
    let isCurrent = true;
    const timer = setTimeout(() => {
      if (text.trim() === '') return setLifted(undefined);
      const wish = { text, country, corrections, empty: { ...newCard(uid, utcNow()), kind: 'individual' } };
      void inspector.extract(wish, book).then((now) => {
        if (isCurrent) setLifted(now);
      });
    }, PAUSE_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [text, corrections, country, book, inspector, uid, utcNow]);
  return extracted;
}
