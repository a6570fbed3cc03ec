/**
 * Card from text: a signature, a mail, an imprint or the words on a printed card read into a card.
 * Standard: none; quoting by RFC 3676 §4.3 and §4.5, addresses by the countries' postal habits, numbers by E.164.
 * Left out: reading text off a picture; comparing with the book (core/duplicates).
 */
export { cardFromMarks } from './cardFromMarks';
export { type LiftField, type LiftMark, type LiftOptions } from './marks';
export { correctMarks, type LiftCorrection } from './correctMarks';
export { findMarks } from './findMarks';
export { findNews } from './findNews';
export { liftCard, type Lifted } from './liftCard';
export { type TextPiece, textPieces } from './textPieces';
