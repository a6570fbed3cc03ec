/**
 * Which parts a card has when it is written, and which are offered at once: the card layout.
 * Standard: none.
 * Left out: what the parts hold, which is core/editing; settings shows the list without it.
 */
export { DEFAULT_LAYOUT, FORM_PARTS, type FormPartId } from './formParts';
