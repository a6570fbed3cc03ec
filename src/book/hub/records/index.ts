/** What browsers of the same book share beside the cards: talks with their files, and settings. Loaded when it is first needed. */
export { shareRecords } from './shareRecords';
