import { useEffect, useState } from 'react';

import type { BookItem } from '@/book';
import type { Uid } from '@/core/card';
import { focusedId, focusId, nextFrame, onKeyPress } from '@/platform';

/** The ids of rows begin so. */
export const ROW_ID = 'row-';

/** Frames that a row far away may take until it is drawn. */
const MAX_FRAMES = 20;

const STEPS: Readonly<Record<string, number>> = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10 };

/**
 * Arrow keys go from row to row, Page keys by ten, Home and End to the ends, while a row has the focus.
 *
 * @returns the row that had the focus last, which is the list's one stop of the tab key
 */
export function useRowKeys(items: readonly BookItem[], scrollTo: (index: number) => void): Uid | undefined {
  const [last, setLast] = useState<Uid>();
  useEffect(
    () =>
      onKeyPress(({ key, isCommand, isTyping }) => {
        const from = focusedId(ROW_ID);
        if (from === undefined || isCommand || isTyping) return false;
        const rows = items.flatMap((item, index) => (item.kind === 'row' ? [{ uid: item.uid, index }] : []));
        const at = rows.findIndex(({ uid }) => uid === from);
        const to = key === 'Home' ? 0 : key === 'End' ? rows.length - 1 : at + (STEPS[key] ?? Number.NaN);
        if (at === -1 || Number.isNaN(to)) return false;
        const row = rows[Math.max(0, Math.min(rows.length - 1, to))];
        if (row) {
          setLast(row.uid);
          void focusRow(row.uid, () => scrollTo(row.index));
        }
        return true;
      }),
    [items, scrollTo],
  );
  return last;
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
