import { useEffect } from 'react';

import type { Card } from '@/core/card';
import { cardPath, onKeyPress } from '@/platform';
import { go } from '@/platform/navigation';

/** The keys of an open card: E edits, Escape goes back to the Book. */
export function useCardKeys({ uid }: Card): void {
  useEffect(
    () =>
      onKeyPress(({ key, isCommand, isTyping, isInDialog }) => {
        if (isCommand || isTyping || isInDialog) return false;
        if (key.toLowerCase() === 'e') go(cardPath(uid, '/edit'));
        else if (key === 'Escape') go('/book');
        else return false;
        return true;
      }),
    [uid],
  );
}
