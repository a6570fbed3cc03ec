import { useEffect, useRef } from 'react';

/**
 * What Enter does with a line. Whoever types faster than the answer comes means what they typed, not what the letters
 * before had found: the act waits until all is known, and is dropped if they type on.
 */
export function useEnter(query: string, isKnown: boolean, run: () => void): () => void {
  const awaited = useRef<string>(undefined);
  useEffect(() => {
    const line = awaited.current;
    if (line === undefined || (line === query && !isKnown)) return;
    awaited.current = undefined;
    if (line === query) run();
  });
  return () => {
    if (isKnown) run();
    else awaited.current = query;
  };
}
