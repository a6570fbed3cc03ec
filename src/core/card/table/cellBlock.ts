/** A place in the table: row and column, from 0. */
export interface CellAt {
  readonly row: number;
  readonly column: number;
}

/** A block of cells, both ends inclusive. */
export interface CellBlock {
  readonly top: number;
  readonly left: number;
  readonly bottom: number;
  readonly right: number;
}

/** The block between two corners. */
export function blockOf(a: CellAt, b: CellAt): CellBlock {
  return {
    top: Math.min(a.row, b.row),
    bottom: Math.max(a.row, b.row),
    left: Math.min(a.column, b.column),
    right: Math.max(a.column, b.column),
  };
}

/** A text for a cell. */
export interface CellText extends CellAt {
  readonly text: string;
}

/**
 * Where pasted cells go: a single cell, or a block that fits a whole number of times, fills the whole selection; any
 * other starts at the first selected cell.
 *
 * @returns the cells within the table, and how many would lie outside of it
 */
export function spread(
  chosen: CellBlock,
  pasted: readonly (readonly string[])[],
  size: { readonly rows: number; readonly columns: number },
): { readonly cells: CellText[]; readonly outside: number } {
  const height = pasted.length;
  const width = Math.max(0, ...pasted.map((row) => row.length));
  if (height === 0 || width === 0) return { cells: [], outside: 0 };
  const [tall, broad] = [chosen.bottom - chosen.top + 1, chosen.right - chosen.left + 1];
  const fills = tall % height === 0 && broad % width === 0;
  const cells: CellText[] = [];
  let outside = 0;
  for (let down = 0; down < (fills ? tall : height); down += 1) {
    for (let along = 0; along < (fills ? broad : width); along += 1) {
      const text = pasted[down % height]?.[along % width];
      if (text === undefined) continue;
      const at = { row: chosen.top + down, column: chosen.left + along };
      if (at.row < size.rows && at.column < size.columns) cells.push({ ...at, text });
      else outside += 1;
    }
  }
  return { cells, outside };
}
