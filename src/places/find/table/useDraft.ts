import { useState } from 'react';

import { noticeShown, useAppDispatch } from '@/book/state';
import type { CellAt, CellText, TableColumn } from '@/core/card';
import { texts } from '@/texts/find/table';

import type { Refused } from './useWriting';

/** What is being written in a cell. */
export interface Draft {
  readonly at: CellAt;
  readonly text: string;
  /** Why it can't stay so. */
  readonly fault?: string;
}

interface DraftWish {
  readonly active: CellAt | undefined;
  readonly columns: readonly TableColumn[];
  readonly textAt: (at: CellAt) => string;
  readonly write: (cells: readonly CellText[], isQuiet: boolean) => Promise<readonly Refused[]>;
  /** Returns the focus to the table, and moves on to another cell. */
  readonly onDone: (at: CellAt, move: readonly [down: number, along: number]) => void;
}

/** Writing in place: a fault keeps the cell open and stands under it. */
export function useDraft({ active, columns, textAt, write, onDone }: DraftWish) {
  const dispatch = useAppDispatch();
  const [draft, setDraft] = useState<Draft>();
  const begin = (text?: string) => {
    if (!active) return;
    const column = columns[active.column];
    if (column?.isWritable === true) setDraft({ at: active, text: text ?? textAt(active) });
    else dispatch(noticeShown({ text: texts.cantBeWritten(column?.title ?? texts.this), tone: 'error' }));
  };
  const finish = async (text: string, move: readonly [down: number, along: number] = [0, 0]) => {
    if (!draft) return;
    const [fault] = text === textAt(draft.at) ? [] : await write([{ ...draft.at, text }], true);
    if (fault) return setDraft({ ...draft, text, fault: fault.why });
    setDraft(undefined);
    onDone(draft.at, move);
  };
  const cancel = () => {
    if (!draft) return;
    setDraft(undefined);
    onDone(draft.at, [0, 0]);
  };
  return { draft, begin, finish, cancel };
}
