import { useCallback, useEffect, useRef, useState } from 'react';

import { type Job, readPictureInWorker } from '@/book/clients';
import { selectSettings, useAppSelector } from '@/book/state';
import type { PictureText } from '@/book/workers';
import { errorMessage } from '@/core/base';
import { languageOfCards, type PictureLanguage } from '@/core/extract/picture';
import { openPicture } from '@/platform';

/** How far the reading of a picture is. */
export type PictureState =
  | { readonly kind: 'none' }
  | {
      readonly kind: 'reading';
      readonly shown: string;
      readonly share01: number;
      readonly isLoading: boolean;
    }
  | { readonly kind: 'read'; readonly shown: string; readonly turn: number }
  | {
      readonly kind: 'failed';
      readonly shown: string | undefined;
      /** A fault by its name, or a reason in words. */
      readonly why: string;
    };

/** The words of a picture of a card: read in a worker, shown how far it is, and stopped where that is asked for. */
export function usePictureText(onText: (text: string) => void) {
  const { country } = useAppSelector(selectSettings);
  const [language, setLanguage] = useState<PictureLanguage>(languageOfCards(country));
  const [state, setState] = useState<PictureState>({ kind: 'none' });
  const job = useRef<Job<PictureText>>(undefined);
  const stop = useCallback(() => {
    job.current?.stop();
    job.current = undefined;
    setState({ kind: 'none' });
  }, []);
  useEffect(() => () => job.current?.stop(), []);
  const read = useCallback(
    async (file: File) => {
      job.current?.stop();
      let shown: string | undefined;
      try {
        shown = await openPicture(file);
        const picture = shown;
        setState({ kind: 'reading', shown: picture, share01: 0, isLoading: true });
        const mine = readPictureInWorker(file, { language, country }, (share01, isLoading) =>
          setState((now) => (now.kind === 'reading' ? { ...now, share01, isLoading } : now)),
        );
        job.current = mine;
        const { text, fault, turn } = await mine.result;
        // Another picture may have been chosen since.
        if (job.current !== mine) return;
        setState(fault === undefined ? { kind: 'read', shown, turn } : { kind: 'failed', shown, why: fault });
        if (fault === undefined) onText(text);
      } catch (error) {
        const why = errorMessage(error);
        if (why !== 'stopped') setState({ kind: 'failed', shown, why });
      }
    },
    [country, language, onText],
  );
  return { state, read, stop, language, setLanguage };
}
