/** What comes and goes beside the cards: talks with their files, settings, and mail. Loaded when it is first needed. */
export { shareRecords } from './shareRecords';
export { takeNewMail } from './takeNewMail';
