import { useVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect, useMemo, useRef } from 'react';

import type { CellAt } from '@/core/card';

/** Sizes of the table in pixels at the usual size of type. */
const ROW_PX = 44;
/** The column before the others: its box to tick and the way to the card. */
const LEAD_PX = 88;

/** What the table is drawn by: what scrolls, which rows are in view, how high and wide all is. */
export interface GridView {
  readonly scroller: RefObject<HTMLDivElement | null>;
  readonly virtual: Virtualizer<HTMLDivElement, Element>;
  readonly height: number;
  readonly lead: number;
  readonly widths: readonly number[];
}

/** Draws only the rows in view, and brings the active cell into it. */
export function useGridView(
  count: number,
  sizes: readonly number[],
  active: CellAt | undefined,
  scale: number,
): GridView {
  const scroller = useRef<HTMLDivElement>(null);
  const height = ROW_PX * scale;
  const lead = LEAD_PX * scale;
  // The same list as long as it says the same: rows that get it aren't drawn again.
  const key = sizes.map((size) => size * scale).join(' ');
  const widths = useMemo(() => key.split(' ').filter(Boolean).map(Number), [key]);
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: 6,
    // The heads lie over the first row in view.
    scrollPaddingStart: height,
  });
  const { row, column } = active ?? {};
  useEffect(() => {
    if (row !== undefined) virtual.scrollToIndex(row, { align: 'auto' });
  }, [row, virtual]);
  useEffect(() => {
    const frame = scroller.current;
    if (!frame || column === undefined) return;
    const left = widths.slice(0, column).reduce((sum, width) => sum + width, 0);
    const right = left + (widths[column] ?? 0) + lead;
    // The first column stays where it is, over the others.
    const first = widths[0] ?? 0;
    if (column === 0) return;
    if (left - first < frame.scrollLeft) frame.scrollLeft = left - first;
    else if (right > frame.scrollLeft + frame.clientWidth) frame.scrollLeft = right - frame.clientWidth;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only a move brings the cell into view
  }, [column]);
  return { scroller, virtual, height, lead, widths };
}
