import {
  type ColumnDef,
  getCoreRowModel,
  getSortedRowModel,
  type SortingFn,
  type Table,
  type Updater,
  useReactTable,
} from '@tanstack/react-table';
import { useMemo } from 'react';

import { selectSettings, useAppSelector } from '@/book/state';
import { type Card, compareCells, customColumns, type TableColumn, tableColumns } from '@/core/card';
import { LOCALE } from '@/platform';

import { useLook } from './useLook';

const MIN_WIDTH = 64;
const MAX_WIDTH = 640;

/** All columns that the book's cards can have, in the order in which they are offered. */
export function useColumns(cards: readonly Card[]): readonly TableColumn[] {
  const { sortBy, particlesCount } = useAppSelector(selectSettings);
  const by = sortBy === 'given' ? 'given' : 'surname';
  const usual = useMemo(
    () => tableColumns({ locale: LOCALE, order: { by, particlesCount } }),
    [by, particlesCount],
  );
  const own = useMemo(() => customColumns(cards), [cards]);
  return useMemo(() => [...usual, ...own], [usual, own]);
}

const numeric = new Intl.Collator(LOCALE, { numeric: true });

/** Cells that say nothing come last both ways, which the library has to be told for each direction. */
function sortingFn(isDescending: boolean): SortingFn<Card> {
  return (a, b, id) => compareCells(a.getValue<string>(id), b.getValue<string>(id), numeric, isDescending);
}

/** The table of cards as it is set: its columns in order, their widths, by what it is sorted. */
export function useCardTable(cards: readonly Card[], columns: readonly TableColumn[]): Table<Card> {
  const { look, setLook } = useLook();
  const defs = useMemo(
    () =>
      columns.map(({ id, title, width, read, sortText }): ColumnDef<Card, string> => {
        const isDescending = look.sorting.some((one) => one.id === id && one.desc);
        return {
          ...{ id, header: title, size: width, minSize: MIN_WIDTH, maxSize: MAX_WIDTH },
          accessorFn: sortText ?? read,
          sortingFn: sortingFn(isDescending),
        };
      }),
    [columns, look.sorting],
  );
  const sorting = useMemo(
    () => look.sorting.filter(({ id }) => columns.some((column) => column.id === id)),
    [columns, look.sorting],
  );
  const isShown = Object.fromEntries(columns.map(({ id }) => [id, look.columns.includes(id)]));
  return useReactTable({
    data: cards as Card[],
    columns: defs,
    getRowId: ({ uid }) => uid,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    state: {
      columnOrder: look.columns,
      columnVisibility: isShown,
      columnSizing: look.widths,
      sorting,
    },
    onSortingChange: (next) => setLook({ sorting: applied(next, look.sorting) }),
    onColumnSizingChange: (next) => setLook({ widths: applied(next, look.widths) }),
    columnResizeMode: 'onEnd',
    // Without this the table resets its page whenever rows change, which would redraw it endlessly.
    autoResetAll: false,
    sortDescFirst: false,
    isMultiSortEvent: (event) => (event as { shiftKey?: boolean }).shiftKey === true,
    maxMultiSortColCount: 4,
  });
}

function applied<T>(next: Updater<T>, before: T): T {
  return typeof next === 'function' ? (next as (old: T) => T)(before) : next;
}

/** A width in pixels within what a column can have. */
export function heldWidth(width: number): number {
  return Math.max(MIN_WIDTH, Math.min(MAX_WIDTH, width));
}
