/** What is around the pages and seldom needed: loaded when it is. */
export { KeysSheet } from './KeysSheet';
export { Unfinished } from './Unfinished';
