/**
 * Cards in files: one interface, a registry, a folder for each format.
 * Standards: see each folder.
 * Left out: comparing what was read with the book.
 */
export { FORMAT_FACTS, type FormatFacts, type FormatId } from './facts';
export type {
  CardFormat,
  Problem,
  ProblemCode,
  ReadableFormat,
  ReadOptions,
  ReadResult,
  WriteOptions,
} from './format';
export { findFormat, FORMATS, getFormat } from './registry';
export { decodeUtf8, encodeUtf8 } from '../text';

export { type Invitation, writeInvitation } from './icalendar';
