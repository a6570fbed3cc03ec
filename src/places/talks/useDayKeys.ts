import { useEffectEvent, useLayoutEffect } from 'react';

import type { Uid } from '@/core/card';
import { DAY_ROW_ID, focusedId, focusNeighbour, isNothingFocused, onKeyPress } from '@/platform';

const STEPS: Readonly<Record<string, number>> = { ArrowDown: 1, ArrowUp: -1 };

/**
 * Arrow keys go from row to row of the day, Escape closes the one that is open.
 *
 * @param choose - told of whom the row is that the keys have come to
 */
export function useDayKeys(choose: ((uid: Uid) => void) | undefined, close: () => void): void {
  const handle = useEffectEvent((key: string) => {
    if (key === 'Escape') {
      close();
      return focusedId(DAY_ROW_ID) !== undefined;
    }
    const step = STEPS[key];
    if (step === undefined || (focusedId(DAY_ROW_ID) === undefined && !isNothingFocused())) return false;
    const id = focusNeighbour(DAY_ROW_ID, step);
    if (id === undefined) return false;
    const uid = uidIn(id);
    if (uid !== undefined) choose?.(uid);
    return true;
  });
  useLayoutEffect(
    () =>
      onKeyPress(({ key, isCommand, isTyping, isInDialog }) =>
        isCommand || isTyping || isInDialog ? false : handle(key),
      ),
    [],
  );
}

/** Rows of people are named by their part and their card: "late urn:uuid:…". */
function uidIn(id: string): Uid | undefined {
  const [part, uid] = id.split(' ');
  return part === 'meeting' ? undefined : uid;
}
