import type { ClipboardEvent } from 'react';

import { noticeShown, useAppDispatch } from '@/book/state';
import { type CellAt, type CellBlock, type CellText, readTsv, spread, writeTsv } from '@/core/card';
import { texts as wording } from '@/texts/find/table';

interface ClipboardWish {
  readonly block: CellBlock | undefined;
  readonly size: { readonly rows: number; readonly columns: number };
  readonly textAt: (at: CellAt) => string;
  readonly write: (cells: readonly CellText[]) => Promise<unknown>;
  readonly choose: (at: CellAt, extendsBlock?: boolean) => void;
}

/** Copying, cutting, pasting and emptying the chosen block, as tab-separated text. */
export function useClipboard({ block, size, textAt, write, choose }: ClipboardWish) {
  const dispatch = useAppDispatch();
  const empty = () => {
    if (block) void write(linesOf(block).flatMap((line) => line.map((at) => ({ ...at, text: '' }))));
  };
  const take = (event: ClipboardEvent, isCut: boolean) => {
    if (!block || isInField(event)) return;
    event.preventDefault();
    const texts = linesOf(block).map((line) => line.map(textAt));
    event.clipboardData.setData('text/plain', writeTsv(texts));
    if (isCut) return empty();
    const count = wording.cellCount(texts.flat().length);
    dispatch(noticeShown({ text: wording.copied(count), tone: 'plain' }));
  };
  const paste = async (event: ClipboardEvent) => {
    if (!block || isInField(event)) return;
    event.preventDefault();
    const { cells, outside } = spread(block, readTsv(event.clipboardData.getData('text/plain')), size);
    await write(cells);
    const last = cells.at(-1);
    if (last) {
      choose({ row: block.top, column: block.left });
      choose(last, true);
    }
    if (outside === 0) return;
    const left = wording.cellsLayOutsideOfTable(outside);
    dispatch(noticeShown({ text: left, tone: 'error' }));
  };
  return {
    empty,
    onCopy: (event: ClipboardEvent) => take(event, false),
    onCut: (event: ClipboardEvent) => take(event, true),
    onPaste: (event: ClipboardEvent) => void paste(event),
  };
}

/** While a cell is being edited, the clipboard belongs to it. */
function isInField(event: ClipboardEvent): boolean {
  return event.target !== event.currentTarget;
}

function linesOf({ top, left, bottom, right }: CellBlock): CellAt[][] {
  return Array.from({ length: bottom - top + 1 }, (_, down) =>
    Array.from({ length: right - left + 1 }, (__, along) => ({ row: top + down, column: left + along })),
  );
}
