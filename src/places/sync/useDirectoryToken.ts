import { useCallback } from 'react';

import { readDirectorySession } from '@/book/directory';
import { useServices } from '@/book/state';

/** The directory session of this browser, for a passport that includes the directory; undefined for one that doesn't. */
export function useDirectoryToken(): (isWanted: boolean | undefined) => Promise<{ directoryToken?: string }> {
  const { storage } = useServices();
  return useCallback(
    async (isWanted) => {
      const session = isWanted === true ? await readDirectorySession({ storage }) : undefined;
      return session ? { directoryToken: session.token } : {};
    },
    [storage],
  );
}
