/**
 * Lists, rules and tags.
 */
export { ListPage } from './ListPage';
export { ListsPlace } from './lazy';
export { NoListOpen } from './NoListOpen';
