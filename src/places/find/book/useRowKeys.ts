import { useLayoutEffect } from 'react';

import type { BookItem } from '@/book/state';
import type { Uid } from '@/core/card';
import {
  firstIdInView,
  focusedId,
  focusId,
  isNothingFocused,
  nextFrame,
  onKeyPress,
  ROW_ID,
} from '@/platform';

/** The id of what scrolls, which the tab key stops at. */
export const LIST_ID = 'book-rows';

/** Frames that a row far away may take until it is drawn. */
const MAX_FRAMES = 20;

const STEPS: Readonly<Record<string, number>> = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10 };

/** Arrow keys go from row to row, Page keys by ten, Home and End to the ends, from the first row in view on. */
export function useRowKeys(items: readonly BookItem[], scrollTo: (index: number) => void): void {
  useLayoutEffect(
    () =>
      onKeyPress(({ key, isCommand, isTyping }) => {
        if (isCommand || isTyping) return false;
        const from = focusedId(ROW_ID);
        const isOnList = focusedId(LIST_ID) !== undefined || isNothingFocused();
        if (from === undefined && !(isOnList && (key === 'ArrowDown' || key === 'ArrowUp'))) return false;
        const rows = items.flatMap((item, index) => (item.kind === 'row' ? [{ uid: item.uid, index }] : []));
        if (from === undefined) {
          const first = firstIdInView(ROW_ID, LIST_ID);
          return first !== undefined && focusId(first);
        }
        const at = rows.findIndex(({ uid }) => uid === from);
        const to = key === 'Home' ? 0 : key === 'End' ? rows.length - 1 : at + (STEPS[key] ?? Number.NaN);
        const row = rows[Math.max(0, Math.min(rows.length - 1, to))];
        if (at === -1 || Number.isNaN(to) || !row) return false;
        void focusRow(row.uid, () => scrollTo(row.index));
        return true;
      }),
    [items, scrollTo],
  );
}

/** Puts the focus on a row, having it scrolled to first where it isn't drawn. */
async function focusRow(uid: Uid, scroll: () => void): Promise<void> {
  if (focusId(`${ROW_ID}${uid}`)) return;
  scroll();
  for (let frame = 0; frame < MAX_FRAMES; frame += 1) {
    await nextFrame();
    if (focusId(`${ROW_ID}${uid}`)) return;
  }
}
