/**
 * A card from text.
 */
export { LiftPage } from './LiftPage';
