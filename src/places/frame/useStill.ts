import { usePathname } from 'expo-router';
import { useEffect } from 'react';

import { keepStill, onPageHidden, whenIdle } from '@/platform';

/** A page has come to rest when it has stood this long. */
const AT_REST_MS = 2000;

/** Keeps a picture of the page when it has come to rest and when it is left, to stand there at once at the next start. */
export function useStill(): void {
  const pathname = usePathname();
  useEffect(() => {
    let callOff: () => void = () => undefined;
    const timer = setTimeout(() => (callOff = whenIdle(keepStill)), AT_REST_MS);
    return () => {
      clearTimeout(timer);
      callOff();
    };
  }, [pathname]);
  useEffect(() => onPageHidden(keepStill), []);
}
