import { useCallback, useEffect, useState } from 'react';
import type { z } from 'zod';

import { errorMessage } from '@/core/base';

import type { AskDirectory } from './useDirectory';

interface DirectoryQuestion<T> {
  readonly ask: AskDirectory;
  /** Under /directory; undefined while there is nothing to ask. */
  readonly path: string | undefined;
  readonly schema: z.ZodType<T>;
  /** Milliseconds to wait whether another question follows. */
  readonly pauseMs?: number;
}

/** What the directory answered last, why it doesn't where it didn't (''), and asking once more. */
export interface DirectoryAnswer<T> {
  readonly value: T | undefined;
  readonly fault: string;
  readonly again: () => void;
}

/** Asks the directory, and again when the question changes or it is told to; the last answer stays meanwhile. */
export function useDirectoryAnswer<T>({
  ask,
  path,
  schema,
  pauseMs = 0,
}: DirectoryQuestion<T>): DirectoryAnswer<T> {
  const [value, setValue] = useState<T>();
  const [fault, setFault] = useState('');
  const [round, setRound] = useState(0);
  useEffect(() => {
    if (path === undefined) return;
    let isCurrent = true;
    const look = async () => {
      try {
        const answer = schema.parse(await ask({ path }));
        if (!isCurrent) return;
        setValue(answer);
        setFault('');
      } catch (error) {
        if (isCurrent) setFault(errorMessage(error));
      }
    };
    const timer = setTimeout(() => void look(), pauseMs);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [ask, path, pauseMs, round, schema]);
  return { value, fault, again: useCallback(() => setRound((count) => count + 1), []) };
}
