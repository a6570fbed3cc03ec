/**
 * Changes of a card as data: differences, making them, taking them back.
 * Standard: JSON Pointer (RFC 6901) for places; the rest is ours.
 * Left out: who changed what when; that is the book's history.
 */
export { type Applied, applyEdits, type Direction, getAt, setAt } from './applyEdits';
export { diffJson, type Edit } from './diffJson';
export { formatPointer, parsePointer } from './pointer';
export { rebaseJson } from './rebaseJson';
