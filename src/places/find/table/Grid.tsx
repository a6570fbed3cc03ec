import { useMemo, useRef } from 'react';

import { choiceAdded, choiceToggled, useAppDispatch } from '@/book/state';
import type { Card, CellAt, TableColumn } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/find/table';
import { useSteady, useTypeScale } from '@/ui';

import { GridHead } from './GridHead';
import { cellId, GridRow } from './GridRow';
import { onGridKey } from './onGridKey';
import { RefusedStrip } from './RefusedStrip';
import { useCardTable } from './useCardTable';
import { useChosenCells } from './useChosenCells';
import { useClipboard } from './useClipboard';
import { useDraft } from './useDraft';
import { useGridView } from './useGridView';
import { useLook } from './useLook';
import { type LoadWriting, useWriting } from './useWriting';

interface GridProps {
  readonly cards: readonly Card[];
  /** All there are; the look says which are shown. */
  readonly columns: readonly TableColumn[];
  readonly loadWriting: LoadWriting;
}

/** The cells of the table; the grid itself has the focus, and names its active cell. */
export function Grid({ cards, columns, loadWriting }: GridProps) {
  const grid = useRef<HTMLDivElement>(null);
  const dispatch = useAppDispatch();
  const table = useCardTable(cards, columns);
  const { rows } = table.getRowModel();
  const sorted = useMemo(() => rows.map(({ original }) => original), [rows]);
  const uids = useMemo(() => sorted.map(({ uid }) => uid), [sorted]);
  const { look } = useLook();
  const shown = useMemo(
    () => look.columns.flatMap((id) => columns.find((column) => column.id === id) ?? []),
    [look.columns, columns],
  );
  const shownIds = useMemo(() => shown.map(({ id }) => id), [shown]);
  const size = { rows: sorted.length, columns: shown.length };
  const { active, block, choose } = useChosenCells(uids, shownIds);
  const sizes = table.getVisibleLeafColumns().map((head) => head.getSize());
  const { scroller, virtual, ...measures } = useGridView(size.rows, sizes, active, useTypeScale());
  const { write, refused, setRefused } = useWriting({ cards: sorted, columns: shown, loadWriting });
  const textAt = ({ row, column }: CellAt) => {
    const card = sorted[row];
    return card ? (shown[column]?.read(card) ?? '') : '';
  };
  const chooseCell = useSteady((at: CellAt, extendsBlock?: boolean) => {
    choose(at, extendsBlock);
    grid.current?.focus({ preventScroll: true });
  });
  const { draft, begin, finish, cancel } = useDraft({
    ...{ active, columns: shown, textAt, write },
    onDone: (at, [down, along]) =>
      chooseCell({
        row: Math.min(size.rows - 1, at.row + down),
        column: Math.max(0, Math.min(size.columns - 1, at.column + along)),
      }),
  });
  const ofRows = {
    onChoose: chooseCell,
    onEdit: useSteady(() => begin()),
    onFinish: useSteady(finish),
    onCancel: useSteady(cancel),
  };
  const { empty, ...clipboard } = useClipboard({ block, size, textAt, write, choose });
  const pick = (isRange: boolean) => {
    const uid = active && uids[active.row];
    if (uid === undefined || !block) return;
    const isOne = !isRange && block.top === block.bottom;
    dispatch(isOne ? choiceToggled(uid) : choiceAdded(uids.slice(block.top, block.bottom + 1)));
  };
  const chooseAll = () => {
    choose({ row: 0, column: 0 });
    choose({ row: size.rows - 1, column: size.columns - 1 }, true);
  };
  const open = () => active && go(cardPath(uids[active.row] ?? ''));
  return (
    <div style={{ display: 'flex', flexDirection: 'column', minHeight: 0, flex: 1 }}>
      <RefusedStrip refused={refused} onClose={() => setRefused([])} />
      <div ref={scroller} style={{ overflow: 'auto', flex: 1, minHeight: 0 }}>
        <div
          ref={grid}
          role="grid"
          aria-label={texts.cards}
          aria-multiselectable
          aria-rowcount={size.rows + 1}
          aria-colcount={size.columns + 1}
          {...(active ? { 'aria-activedescendant': cellId(active) } : {})}
          tabIndex={0}
          data-testid="grid"
          onKeyDown={(event) =>
            onGridKey(event, { active, size, choose, edit: begin, empty, pick, open, chooseAll })
          }
          {...clipboard}
          className="outline-none"
          style={{
            position: 'relative',
            width: measures.widths.reduce((sum, width) => sum + width, measures.lead),
            minWidth: '100%',
          }}
        >
          <GridHead table={table} {...measures} />
          <div style={{ height: virtual.getTotalSize(), position: 'relative' }} role="rowgroup">
            {virtual.getVirtualItems().map(({ index, start }) => {
              const card = sorted[index];
              const isIn = block !== undefined && index >= block.top && index <= block.bottom;
              return card ? (
                <GridRow
                  key={card.uid}
                  {...measures}
                  {...{ card, index, start, columns: shown }}
                  activeColumn={active?.row === index ? active.column : undefined}
                  left={isIn ? block.left : -1}
                  right={isIn ? block.right : -1}
                  draft={draft?.at.row === index ? draft : undefined}
                  {...ofRows}
                />
              ) : null;
            })}
          </div>
        </div>
      </div>
    </div>
  );
}
