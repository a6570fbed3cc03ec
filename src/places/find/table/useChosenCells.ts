import { useCallback, useMemo, useState } from 'react';

import { blockOf, type CellAt, type CellBlock, type Uid } from '@/core/card';

interface Cell {
  readonly uid: Uid;
  readonly column: string;
}

/** The cell that has the keys and the block that is chosen with it, and moving both. */
export interface ChosenCells {
  readonly active: CellAt | undefined;
  readonly block: CellBlock | undefined;
  /** Makes a cell the active one; with `extends` the block reaches from where it began up to it. */
  readonly choose: (at: CellAt, extendsBlock?: boolean) => void;
}

/** Cells are kept by card and column: they stay selected when the table is sorted again. */
export function useChosenCells(uids: readonly Uid[], columns: readonly string[]): ChosenCells {
  const [active, setActive] = useState<Cell>();
  const [anchor, setAnchor] = useState<Cell>();
  const rowOf = useMemo(() => new Map(uids.map((uid, row) => [uid, row])), [uids]);
  const placeOf = (cell: Cell | undefined): CellAt | undefined => {
    const row = cell && rowOf.get(cell.uid);
    const column = cell ? columns.indexOf(cell.column) : -1;
    return row === undefined || column === -1 ? undefined : { row, column };
  };
  const at = placeOf(active);
  const from = placeOf(anchor) ?? at;
  const choose = useCallback(
    ({ row, column }: CellAt, extendsBlock = false) => {
      const [uid, id] = [uids[row], columns[column]];
      if (uid === undefined || id === undefined) return;
      setActive({ uid, column: id });
      if (!extendsBlock) setAnchor({ uid, column: id });
    },
    [uids, columns],
  );
  return { active: at, block: at && from ? blockOf(from, at) : undefined, choose };
}
