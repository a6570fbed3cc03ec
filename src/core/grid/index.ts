/**
 * The book as a table: its columns and what a cell says.
 * Standard: none; what a column means is that of the card's properties (RFC 9553).
 * Left out: writing a cell (core/editing, as it is done through the form).
 */
export { type GridColumn, gridColumns, type GridOptions, ownColumns } from './gridColumns';
export { type Block, blockOf, type CellAt, type CellText, spread } from './block';
export { readTsv, writeTsv } from './clipboard';
export { compareCells } from './compareCells';
