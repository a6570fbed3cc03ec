/**
 * Write: recipients, templates, letters, drafts.
 */
export { LettersPage } from './letters/LettersPage';
export { WritePage } from './WritePage';
