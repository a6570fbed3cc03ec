/**
 * The store in the browser: one record a card, talks by month, photos under keys of their own; only what changed is written.
 */
export { BookWriter, type Written } from './bookWriter';
export { detachPhotos } from './detachPhotos';
export { KEYS, SCHEMA_VERSION } from './keys';
export { parseJson } from './parseJson';
export { PhotoCache } from './photoCache';
export { readCards } from './readCards';
export { withPhotos } from './withPhotos';
