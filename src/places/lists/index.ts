/**
 * Lists, rules and tags.
 */
export { ListPage } from './ListPage';
export { ListsPlace } from './ListsPlace';
export { NoListOpen } from './NoListOpen';
