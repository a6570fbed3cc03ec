import { lazy } from 'react';

/** The place of the devices, loaded when it is gone to: the router reads the layout of every section at its start. */
export const DevicesPlace = lazy(() =>
  import('./DevicesPlace').then((piece) => ({ default: piece.DevicesPlace })),
);
