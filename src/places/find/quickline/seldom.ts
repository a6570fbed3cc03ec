/** What the quick line seldom shows: loaded when it does. */
export { LimitSheet } from './LimitSheet';
export { QuickHelp } from './QuickHelp';
