/**
 * The frame around every place: navigation, notices, keys.
 */
export { Frame } from './Frame';
export { NoSuchPage } from './NoSuchPage';
