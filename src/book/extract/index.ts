/**
 * Cards from text: read in a worker, added to the book.
 */
export { addLifted, addLiftedTo } from './takeLifted';
export { keepTextToRead, keptTextToRead } from './textToRead';
export { useLift } from './useLift';
