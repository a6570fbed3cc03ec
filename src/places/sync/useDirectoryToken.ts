import { useCallback } from 'react';

import { readDirectorySession } from '@/book/directory';
import { useServices } from '@/book/state';

/** Who is signed in to the common directory here, for a passport that shall have it; nothing where it shan't. */
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
