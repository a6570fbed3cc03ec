/**
 * Feeds, fetched for the application.
 */
export { fetchFeed } from './feeds/fetchFeed';
export type { NameLookup } from './feeds/fetchText';
