/**
 * Cards as properties of a vCard, whatever syntax these are written in.
 * Standard: RFC 9555 (vCard and JSContact), RFC 6350 with RFC 6474, 6715, 8605 and 9554.
 * Left out: how lines or JSON are written; formats/vcard and formats/jcard do that.
 */
export { formatDate } from './dates';
export { readProperties } from './read/readProperties';
export { uidFromText } from './uidFromText';
export { type VcardVersion, VERSION_3, VERSION_4 } from './version';
export { writeProperties } from './write/writeProperties';
