import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that stays the same while what it does follows each drawing, so that rows that get it aren't drawn again. */
export function useSteady<A extends unknown[], R>(work: (...args: A) => R): (...args: A) => R {
  const latest = useRef(work);
  useLayoutEffect(() => {
    latest.current = work;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
