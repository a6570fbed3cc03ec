/**
 * Extract: a card read out of a signature, a mail, an imprint or the words on a printed card.
 * Standards: quoting by RFC 3676 §4.3 and §4.5, addresses by the countries' postal habits, numbers by E.164.
 * Left out: reading text off a picture; comparing with the book (core/tidy).
 */
export { cardFromSpans } from './cardFromSpans';
export { correctSpans, type SpanCorrection } from './correctSpans';
export { extractCard } from './extractCard';
export { findNews } from './findNews';
export { findOthers, type OtherWriter } from './findOthers';
export { findSpans } from './findSpans';
export type { SpanField } from './spans';
export { type TextPiece, textPieces } from './textPieces';
