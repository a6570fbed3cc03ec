import { usePathname } from 'expo-router';
import { useEffect } from 'react';

import { keepStill, onPageHidden, whenIdle } from '@/platform';

/** A page has come to rest when it has stood this long; what is still coming then is looked for again, ever more rarely. */
const AT_REST_MS = 2000;
const TRIES = 5;

/** Keeps a picture of the page when it has come to rest and when it is left, to stand there at once at the next start. */
export function useStill(): void {
  const pathname = usePathname();
  useEffect(() => {
    let callOff: () => void = () => undefined;
    const tryIn = (milliseconds: number, tries: number) => {
      const timer = setTimeout(() => {
        callOff = whenIdle(() => {
          if (!keepStill() && tries > 1) tryIn(milliseconds * 2, tries - 1);
        });
      }, milliseconds);
      callOff = () => clearTimeout(timer);
    };
    tryIn(AT_REST_MS, TRIES);
    return () => callOff();
  }, [pathname]);
  useEffect(() => onPageHidden(() => void keepStill()), []);
}
