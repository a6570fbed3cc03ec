/**
 * The Book as rows, table and map, and the quick line.
 */
export { NoCardOpen } from './book/NoCardOpen';
export { BookPlace } from './lazy';
export { MapPage } from './map/MapPage';
export { isInPlace, PLACES } from './quickline/pages';
export { QuickLine } from './quickline/QuickLine';
export { type QuickPlans, QuickPlansContext } from './quickline/quickPlans';
export { TablePage } from './table/TablePage';
