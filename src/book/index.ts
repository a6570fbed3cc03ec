/**
 * The book as a program holds it: state, history, store, workers.
 * Standard: cards are JSContact objects (RFC 9553); what the state does with them is ours.
 * Left out: anything that draws.
 */
export type { AppStore } from './appStore';
export { changeBook, redo, undo, type Wish } from './changeBook';
export { type PiecesOptions } from './changeInPieces';
export {
  type FileContents,
  findHeadingsInWorker,
  type Job,
  readFileInWorker,
  unpackFileInWorker,
} from './clients/filesClient';
export * from './hooks';
export { exportBook, exportCards, findBookHeadings } from './intake/exportBook';
export { importCards, previewImport } from './intake/importCards';
export {
  type BookItem,
  type LetterShare,
  type RowFilter,
  selectBookList,
  selectCounts,
  selectOrder,
  selectRow,
  selectRowsByUid,
} from './rows/rowsSlice';
export { changeSettings } from './settings/changeSettings';
export { rememberColumns } from './settings/rememberColumns';
export { selectSettings, type Settings } from './settings/settingsSlice';
export { type Book, getBook } from './startBook';
export {
  noticeClosed,
  noticed,
  selectIsOpen,
  selectNotice,
  selectOpenFault,
  selectReading,
  selectSaving,
  selectSetAside,
} from './status/statusSlice';
