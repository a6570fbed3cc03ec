/**
 * What marks a card as a whole: its tags, the tone of its calls, and whether it is archived, pinned, private or not written to.
 * Standard: tags are keywords (RFC 9553 §2.8.2, vCard CATEGORIES); the rest are vendor properties.
 * Left out: lists, which are cards of their own (core/lists).
 */
export { type Flag, hasFlag, withFlag } from './flags';
export { type Ring, ringOf, RINGS } from './rings';
export { withSource } from './sources';
export { isSameTag, renameTag, tagsOf, withoutTag, withTag } from './tags';
