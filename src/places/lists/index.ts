/**
 * Lists, rules and tags.
 */
export { ListsPlace } from './lazy';
export { ListPage } from './ListPage';
export { NoListOpen } from './NoListOpen';
