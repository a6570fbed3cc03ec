import { lazy } from 'react';

/**
 * The Book's place, loaded when it is gone to: the router reads the layout of every section at its start, and the list of
 * rows would come along to Today.
 */
export const BookPlace = lazy(() =>
  import('./book/BookPlace').then((piece) => ({ default: piece.BookPlace })),
);
