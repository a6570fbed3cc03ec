/**
 * Import: files of cards, tables, mail and calendars.
 */
export { ImportPage } from './ImportPage';
export { TalkImportPage } from './TalkImportPage';
