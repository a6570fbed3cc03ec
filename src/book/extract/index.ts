/**
 * Cards from text: read in a worker, added to the book.
 */
export { addExtracted, addExtractedTo } from './addExtracted';
export { storedTextToRead, storeTextToRead } from './textToRead';
export { useExtract } from './useExtract';
export { type PictureState, usePictureText } from './usePictureText';
