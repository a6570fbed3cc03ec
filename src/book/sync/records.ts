/** The exchange of talks with their files, settings and mail. Loaded when it is first needed. */
export { exchangeRecords } from './exchangeRecords';
export { takeNewMail } from './takeNewMail';
