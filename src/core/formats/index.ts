/**
 * Formats: cards in files. One interface, a registry, a folder for each format.
 * Standards: RFC 6350 and RFC 9555 (vCard), RFC 7095 (jCard), RFC 9553 (JSContact), RFC 4180 (CSV), RFC 5545 (iCalendar).
 * Left out: LDIF, which only the directory writes (core/directory).
 *
 * format/        the interface that every format implements, and what is known of each without loading it
 * properties/    cards as vCard properties, in whatever syntax these are written
 * contentLines/  the line syntax that vCard and iCalendar share
 * vcard/ jcard/ jscontact/ csv/ icalendar/
 * backup/        the whole book in one archive
 * import/        comparing what was read with the book
 */
export type { ByteSource } from './backup/archive';
export { type BackupSinks, type BackupSummary, readBackup } from './backup/readBackup';
export { type BackupContents, writeBackup } from './backup/writeBackup';
export type { ContentLine } from './contentLines/contentLine';
export { formatContentLine } from './contentLines/formatContentLine';
export { parseContentLine } from './contentLines/parseContentLine';
export { readLogicalLines } from './contentLines/readLogicalLines';
export { unescapeText } from './contentLines/text';
export { type Column, columnsKey, type FieldId, FIELDS, formatHeading, parseHeading } from './csv/columns';
export { guessColumns } from './csv/guessColumns';
export { readRows } from './csv/readRows';
export { readTable } from './csv/readTable';
export { csvHeadings } from './csv/writeCsv';
export { FORMAT_FACTS, type FormatId, isFormatId } from './format/facts';
export type { Problem, ReadableFormat, ReadResult, WriteOptions } from './format/format';
export { type Invitation, writeInvitation } from './icalendar/writeInvitation';
export { changedValues } from './import/changedValues';
export { compareImport, type ImportComparison, latestByUid } from './import/compareImport';
export { chooseValues, type ImportValue, importValues, type ValueSide } from './import/importValues';
export { VERSION_3 } from './properties/version';
export { writeProperties } from './properties/write/writeProperties';
export { findFormat, FORMATS, getFormat } from './registry';
