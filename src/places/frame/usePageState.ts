import { useEffect } from 'react';

import { selectReading, selectSaving, useAppSelector } from '@/book/state';
import { setPageState } from '@/platform';

/** Notes the state of the book on the page itself, for tests and scripts that drive it. */
export function usePageState(): void {
  const isRead = useAppSelector((state) => selectReading(state) === undefined);
  const saving = useAppSelector(selectSaving).kind;
  useEffect(() => setPageState({ book: isRead ? 'read' : 'reading', saving }), [isRead, saving]);
}
