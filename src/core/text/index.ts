/**
 * Text: made comparable, and out of bytes.
 * Standard: Unicode normalisation (UAX #15), WHATWG Encoding.
 * Left out: ordering, which Intl.Collator does.
 */
export { errorWords } from './errorWords';
export { escapeHtml } from './escapeHtml';
export { foldedWords, foldText } from './foldText';
export { hashText } from './hashText';
export { toBase64 } from './toBase64';
export { markMatches, type MarkedPart } from './markMatches';
export {
  decodeCharset,
  decodeText,
  type DecodedText,
  decodeUtf8,
  decodeWindows1252,
  encodeUtf8,
} from './textCodec';
