import { useLayoutEffect } from 'react';

import type { Card } from '@/core/card';
import { cardPath, focusId, nextFrame, onKeyPress, ROW_ID } from '@/platform';
import { go } from '@/platform/navigation';

/** The keys of an open card: E edits, Escape goes back to the Book. */
export function useCardKeys({ uid }: Card): void {
  useLayoutEffect(
    () =>
      onKeyPress(({ key, isCommand, isTyping, isInDialog }) => {
        if (isCommand || isTyping || isInDialog) return false;
        if (key.toLowerCase() === 'e') go(cardPath(uid, '/edit'));
        else if (key === 'Escape') backToRow(uid);
        else return false;
        return true;
      }),
    [uid],
  );
}

/** Goes back to the Book, the focus to the row that the card was opened from. */
function backToRow(uid: string): void {
  go('/book');
  void nextFrame()
    .then(nextFrame)
    .then(() => focusId(`${ROW_ID}${uid}`));
}
