import { useCallback, useEffect, useState } from 'react';
import { z } from 'zod';

import { useServices } from '@/book/state';
import { errorMessage } from '@/core/base';
import { askHub, HubFault, type HubQuestion } from '@/platform';

import {
  type DirectorySession,
  directorySessionSchema,
  keepDirectorySession,
  readDirectorySession,
} from './directorySession';

/** How things stand with the directory. */
export type DirectoryStanding =
  | { readonly kind: 'asking' }
  | { readonly kind: 'unreachable'; readonly message: string }
  /** Nobody has access yet. */
  | { readonly kind: 'empty' }
  | { readonly kind: 'out' }
  | { readonly kind: 'in'; readonly session: DirectorySession };

/** Sends a request to the directory as the signed-in user. @throws HubFault */
export type AskDirectory = (question: Omit<HubQuestion, 'token' | 'scheme'>) => Promise<unknown>;

/** Who is signed in to the directory, signing in and out, and asking it. */
export function useDirectory() {
  const { storage, writer } = useServices();
  const [standing, setStanding] = useState<DirectoryStanding>({ kind: 'asking' });
  const [round, setRound] = useState(0);
  useEffect(() => {
    let isCurrent = true;
    const put = (next: DirectoryStanding) => {
      if (isCurrent) setStanding(next);
    };
    const look = async () => {
      const kept = await readDirectorySession({ storage });
      const state = await askHub({ path: '/directory/state' });
      if (!z.object({ hasUsers: z.boolean() }).parse(state).hasUsers) return put({ kind: 'empty' });
      if (!kept) return put({ kind: 'out' });
      const { token } = kept;
      const known = await askHub({ path: '/directory/session', token, scheme: 'Directory' });
      put({ kind: 'in', session: directorySessionSchema.parse({ ...(known as object), token }) });
    };
    look().catch((error: unknown) => {
      const isOut = error instanceof HubFault && error.status === 401;
      put(isOut ? { kind: 'out' } : { kind: 'unreachable', message: errorMessage(error) });
    });
    return () => {
      isCurrent = false;
    };
  }, [round, storage]);
  const again = useCallback(() => setRound((count) => count + 1), []);
  const enter = useCallback(
    async (name: string, passphrase: string) => {
      const body = { name, passphrase };
      const session = directorySessionSchema.parse(
        await askHub({ method: 'POST', path: '/directory/session', body }),
      );
      await keepDirectorySession({ writer }, session);
      setStanding({ kind: 'in', session });
    },
    [writer],
  );
  const token = standing.kind === 'in' ? standing.session.token : undefined;
  const leave = useCallback(async () => {
    // Stops asking first: requests after the session has ended are refused.
    setStanding({ kind: 'out' });
    await keepDirectorySession({ writer }, undefined);
    await askHub({ method: 'DELETE', path: '/directory/session', token, scheme: 'Directory' }).catch(
      () => undefined,
    );
  }, [token, writer]);
  return { standing, enter, leave, again };
}
