import { useEffect, useRef, useState } from 'react';

import { guardLeaving } from '@/platform/navigation';

/** Whether the user is being asked about unsaved changes, and the answers. */
export interface LeaveGuard {
  readonly isAsking: boolean;
  stay(): void;
  leave(): void;
  /** Lets the page be left without asking: everything is saved. */
  release(): void;
}

/** Asks before the page is left while something is unsaved. */
export function useLeaveGuard(isUnsaved: boolean): LeaveGuard {
  const proceed = useRef<(() => void) | undefined>(undefined);
  const release = useRef<() => void>(() => undefined);
  const [isAsking, setAsking] = useState(false);
  useEffect(() => {
    if (!isUnsaved) return;
    release.current = guardLeaving((go) => {
      proceed.current = go;
      setAsking(true);
    });
    return () => release.current();
  }, [isUnsaved]);
  return {
    isAsking,
    stay: () => setAsking(false),
    leave: () => {
      setAsking(false);
      release.current();
      proceed.current?.();
    },
    release: () => {
      setAsking(false);
      release.current();
    },
  };
}
