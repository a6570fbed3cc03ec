import { createContext, useCallback, useContext, useEffect, useState } from 'react';
import { useDispatch, useSelector, useStore } from 'react-redux';

import type { Card, Uid } from '@/core/card';

import type { AppDispatch, RootState } from './appStore';
import { selectCard } from './cardsSlice';
import { readCardNow } from './readCardNow';
import type { Services } from './services';
import { selectReading } from './statusSlice';

/** Dispatches to the book. */
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
/** Reads the least that a screen needs of the book. */
export const useAppSelector = useSelector.withTypes<RootState>();

const ServicesContext = createContext<Services | undefined>(undefined);
/** Provides the services to hooks. */
export const ServicesProvider = ServicesContext.Provider;

/** What reaches the outside for this book. @throws Error outside of a ServicesProvider */
export function useServices(): Services {
  const services = useContext(ServicesContext);
  if (!services) throw new Error('there is no book above this component');
  return services;
}

/** A card, read ahead of its turn if needed; null where there is none. */
export function useCard(uid: Uid): Card | null | undefined {
  const dispatch = useAppDispatch();
  const card = useAppSelector((state) => selectCard(state, uid));
  const [missing, setMissing] = useState<Uid>();
  useEffect(() => {
    if (card) return;
    let isCurrent = true;
    void dispatch(readCardNow(uid)).then((read) => {
      if (isCurrent && !read) setMissing(uid);
    });
    return () => {
      isCurrent = false;
    };
  }, [card, dispatch, uid]);
  return card ?? (missing === uid ? null : undefined);
}

/** The data: URI of a photo, once it has been read; undefined where there is none. */
export function usePhoto(blobId: string | undefined, size: 'card' | 'row' = 'card'): string | undefined {
  const { photos } = useServices();
  const [photo, setPhoto] = useState<{ id: string; uri: string }>();
  useEffect(() => {
    if (blobId === undefined) return;
    let isCurrent = true;
    void (size === 'row' ? photos.getSmall(blobId) : photos.get(blobId)).then((uri) => {
      if (isCurrent && uri !== null) setPhoto({ id: blobId, uri });
    });
    return () => {
      isCurrent = false;
    };
  }, [blobId, photos, size]);
  return photo && photo.id === blobId ? photo.uri : undefined;
}

/** Looks a card up when called, without re-rendering when cards change. */
export function useCardGetter(): (uid: Uid) => Card | undefined {
  const { getState } = useStore<RootState>();
  return (uid) => selectCard(getState(), uid);
}

/** Waits until every card of the book has been read: what compares or writes the whole book needs all of it. */
export function useWhenRead(): () => Promise<void> {
  const store = useStore<RootState>();
  return useCallback(
    () =>
      new Promise((resolve) => {
        const isRead = () => selectReading(store.getState()) === undefined;
        if (isRead()) return resolve();
        const stop = store.subscribe(() => {
          if (!isRead()) return;
          stop();
          resolve();
        });
      }),
    [store],
  );
}
