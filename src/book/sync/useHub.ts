import { useCallback, useEffect, useState } from 'react';

import type { HubClient } from '@/book/clients';
import {
  noticeShown,
  roundEnded,
  selectHub,
  useAppDispatch,
  useAppSelector,
  useServices,
} from '@/book/state';
import { errorMessage } from '@/core/base';

/** How often what the hub says is asked for again while it is looked at, in milliseconds. */
const AGAIN_MS = 15_000;

/** Whether this browser is paired, and how the exchange is going. */
export const useHub = () => useAppSelector(selectHub);

/** What the hub said last. */
export interface HubAnswer<T> {
  /** undefined until it has said something. */
  readonly value: T | undefined;
  /** Why it didn't, in words; '' where it did. */
  readonly fault: string;
}

/**
 * The latest answer of the hub to a query, repeated after every exchange and act, and regularly.
 *
 * @param key - stands for the question
 */
export function useHubAnswer<T>(
  key: string,
  ask: (hub: HubClient, token: string) => Promise<T>,
): HubAnswer<T> {
  const { hub } = useServices();
  const { pairing, round } = useHub();
  const token = pairing?.token;
  const [tick, setTick] = useState(0);
  const [answer, setAnswer] = useState<HubAnswer<T> & { readonly key: string }>();
  useEffect(() => {
    const timer = setInterval(() => setTick((count) => count + 1), AGAIN_MS);
    return () => clearInterval(timer);
  }, []);
  useEffect(() => {
    if (token === undefined) return;
    let isCurrent = true;
    ask(hub, token).then(
      (value) => {
        if (isCurrent) setAnswer({ key, value, fault: '' });
      },
      (error: unknown) => {
        const fault = errorMessage(error);
        if (isCurrent)
          setAnswer((known) => ({ key, value: known?.key === key ? known.value : undefined, fault }));
      },
    );
    return () => {
      isCurrent = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the question
  }, [hub, token, key, round, tick]);
  return answer?.key === key ? answer : { value: undefined, fault: '' };
}

/** Sends a request to the hub; an error is shown as a notice. @returns undefined where it failed */
export function useHubAct(): <T>(
  work: (hub: HubClient, token: string) => Promise<T>,
) => Promise<T | undefined> {
  const { hub } = useServices();
  const dispatch = useAppDispatch();
  const token = useHub().pairing?.token;
  return useCallback(
    async (work) => {
      if (token === undefined) return undefined;
      try {
        return await work(hub, token);
      } catch (error) {
        dispatch(noticeShown({ text: errorMessage(error), tone: 'error' }));
        return undefined;
      } finally {
        dispatch(roundEnded());
      }
    },
    [hub, dispatch, token],
  );
}
