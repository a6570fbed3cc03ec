/**
 * Today, and the year.
 */
export { TodayPage } from './TodayPage';
export { YearPage } from './YearPage';
