/**
 * A card from text.
 */
export { CardFromTextPage } from './CardFromTextPage';
