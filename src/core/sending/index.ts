/**
 * A card handed to somebody else: what of it goes along, as text, as much as a QR code holds, as a page to print.
 * Standard: vCard 3.0 (RFC 2426) in the code, as what scanners read; ISO/IEC 18004 sets its size.
 * Left out: drawing, and the share sheet.
 */
export { cardAsText } from './cardAsText';
export { type CardInCode, cardForCode } from './cardForCode';
export { cardsAsPage } from './cardsAsPage';
export { cardToSend, hasPrivate, type SendOptions } from './cardToSend';
