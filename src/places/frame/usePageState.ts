import { useEffect } from 'react';

import { selectReading, selectSaving, useAppSelector } from '@/book/state';
import { setPageState } from '@/platform';

/** Says on the page itself how the book stands, for whatever drives the page from outside. */
export function usePageState(): void {
  const isRead = useAppSelector((state) => selectReading(state) === undefined);
  const saving = useAppSelector(selectSaving).kind;
  useEffect(() => setPageState({ book: isRead ? 'read' : 'reading', saving }), [isRead, saving]);
}
