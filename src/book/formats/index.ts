/**
 * Import, export, backup and the calendar, each in a worker.
 */
export { backUpBook, noteBackup } from './backup';
export { exportBook, exportCards, findBookHeadings } from './exportBook';
export { importCards, type ImportOptions, type ImportPlan, previewImport } from './importCards';
export { type ImportReport, keepImportReport, readImportReport } from './importReport';
export { publishCalendar } from './publishCalendar';
export { openBackup, type OpenedBackup, restoreBackup } from './restoreBackup';
export { saveCardsAs } from './saveCardsAs';
