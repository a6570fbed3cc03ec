import type { KeyboardEvent } from 'react';

import type { CellAt } from '@/core/card';

const STEPS: Readonly<Record<string, readonly [down: number, along: number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
  PageDown: [15, 0],
  PageUp: [-15, 0],
};

/** What the keys of the table do. */
export interface GridActs {
  readonly active: CellAt | undefined;
  readonly size: { readonly rows: number; readonly columns: number };
  readonly choose: (at: CellAt, extendsBlock?: boolean) => void;
  /** Begins to write the active cell; `text` takes the place of what is there. */
  readonly edit: (text?: string) => void;
  readonly empty: () => void;
  readonly open: () => void;
  readonly pick: (isRange: boolean) => void;
  readonly chooseAll: () => void;
}

/** The keys of a table (WAI-ARIA practices for a grid): arrows, Home, End, Page; Enter, F2 or a letter to write. */
export function onGridKey(event: KeyboardEvent, acts: GridActs): void {
  const { key, shiftKey } = event;
  const isCommand = event.ctrlKey || event.metaKey;
  if (event.target !== event.currentTarget || event.altKey) return;
  if (!handle(key, isCommand, shiftKey, acts)) return;
  event.preventDefault();
  event.stopPropagation();
}

function handle(key: string, isCommand: boolean, isShift: boolean, acts: GridActs): boolean {
  const { active, size, choose } = acts;
  const to = placeAfter(key, isCommand, active ?? { row: -1, column: 0 }, size);
  if (to) choose(to, isShift && active !== undefined);
  else if (key.toLowerCase() === 'a' && isCommand) acts.chooseAll();
  else if (!active) return false;
  else if (key === 'Enter' && isCommand) acts.open();
  else if (key === 'Enter' || key === 'F2') acts.edit();
  else if (key === 'Delete' || key === 'Backspace') acts.empty();
  else if (key === ' ') acts.pick(isShift);
  else if (!isCommand && [...key].length === 1 && key !== '/' && key !== '?') acts.edit(key);
  else return false;
  return true;
}

function placeAfter(
  key: string,
  isCommand: boolean,
  { row, column }: CellAt,
  { rows, columns }: GridActs['size'],
): CellAt | undefined {
  if (key === 'Home') return { row: isCommand ? 0 : Math.max(0, row), column: 0 };
  if (key === 'End') return { row: isCommand ? rows - 1 : Math.max(0, row), column: columns - 1 };
  const step = STEPS[key];
  if (!step) return undefined;
  const held = (value: number, count: number) => Math.max(0, Math.min(count - 1, value));
  return { row: held(row + step[0], rows), column: held(column + step[1], columns) };
}
