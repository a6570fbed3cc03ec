/**
 * The store in the browser: one record a card, talks by month, photos under keys of their own; only what changed is written.
 */
export { BookWriter } from './bookWriter';
export { attachPhotos, detachPhotos, withPhotos } from './detachPhotos';
export { KEYS, keysUnder, namesUnder, SCHEMA_VERSION } from './keys';
export { PhotoCache } from './photoCache';
export { parseJson, readCards } from './readCards';
export { parseStoredShard } from './storedTalks';
export type { RefusedTalk } from './talkQueue';
export type { Merged, Written } from './written';
