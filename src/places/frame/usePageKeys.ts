import { useLayoutEffect, useState } from 'react';

import { redo, undo } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { onKeyPress } from '@/platform';
import { go } from '@/platform/navigation';

/** The keys that work on every screen. Gives whether the list of keys is open. */
export function usePageKeys(): { isHelpOpen: boolean; closeHelp: () => void } {
  const dispatch = useAppDispatch();
  const [isHelpOpen, setHelpOpen] = useState(false);
  useLayoutEffect(
    () =>
      onKeyPress(({ key, isCommand, isShift, isTyping, isInDialog }) => {
        // A sheet has the keys to itself: nobody means to leave the page from there.
        if (isTyping || isInDialog) return false;
        const lower = key.toLowerCase();
        if (isCommand && lower === 'z') void dispatch(isShift ? redo() : undo());
        else if (isCommand && lower === 'y') void dispatch(redo());
        else if (!isCommand && key === '?') setHelpOpen(true);
        else if (!isCommand && lower === 'n') go('/book/new');
        else return false;
        return true;
      }),
    [dispatch],
  );
  return { isHelpOpen, closeHelp: () => setHelpOpen(false) };
}
