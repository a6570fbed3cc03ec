import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';

import { focusNewPage, nextFrame } from '@/platform';

/** A page that is come to takes the focus, where what had it has gone or led to it. */
export function usePageFocus(): void {
  const pathname = usePathname();
  const before = useRef(pathname);
  useEffect(() => {
    if (before.current === pathname) return;
    before.current = pathname;
    // Its pieces may still be drawn.
    void nextFrame().then(nextFrame).then(focusNewPage);
  }, [pathname]);
}
