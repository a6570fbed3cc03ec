/**
 * What a column of a table may say of a card, and how our own tables head it.
 * Standard: none; common practice.
 * Left out: reading and writing tables (core/tables), which brings a parser along.
 */
export * from './columns';
export { columnsKey } from './columnsKey';
