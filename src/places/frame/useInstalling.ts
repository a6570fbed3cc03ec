import { useEffect } from 'react';

import { selectPinnedRows, selectReading, useAppSelector } from '@/book/state';
import { cardPath, offerInstalling, offerShortcuts } from '@/platform';
import { texts as shared } from '@/texts/base/shared';

/** Shortcuts that launchers show at most (common practice). */
const MAX_SHORTCUTS = 4;

/** Lets the application be installed, with the pinned people as its shortcuts, and opened where the hub is off. */
export function useInstalling(): void {
  const isRead = useAppSelector((state) => selectReading(state) === undefined);
  const pinned = useAppSelector(selectPinnedRows);
  useEffect(() => {
    if (!isRead) return;
    const people = pinned
      .slice(0, MAX_SHORTCUTS - 1)
      .map(({ shown, uid }) => ({ name: shown, path: cardPath(uid) }));
    offerInstalling([{ name: shared.newCard, path: '/book/new' }, ...people]);
  }, [isRead, pinned]);
  useEffect(() => (isRead ? offerShortcuts() : undefined), [isRead]);
}
