import { lazy } from 'react';

/** The place of the lists, loaded when it is gone to: the router reads the layout of every section at its start. */
export const ListsPlace = lazy(() => import('./ListsPlace').then((piece) => ({ default: piece.ListsPlace })));
