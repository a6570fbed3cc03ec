/**
 * Relinking: what cards say of another card follows it when that is merged into a third.
 * Standard: RELATED and MEMBER of RFC 9553 §2.1.8 and §2.1.6; links in notes are our own (core/notes).
 * Left out: merging itself (core/merging), which is large and needed in a worker only.
 */
export { relinkCard } from './relinkCard';
