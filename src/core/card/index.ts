/**
 * The card: its schema, its values, how it is shown and edited.
 * Standards: JSContact (RFC 9553) with the additions of RFC 9555; E.164 and RFC 3966 for numbers.
 * Left out: files (core/formats), search (core/find), and anything that needs a second card, except relations.
 *
 * schema/     the card as Zod schemas
 * name/       names taken apart, shown, sorted, abbreviated
 * patch/      changes to a card as data, which undo and sync are made of
 * phone/      numbers read, shown and dialled; brings the numbering plans along
 * dates/      anniversaries, and those that fall in a period
 * identity/   when two values are the same
 * notes/      notes with simple formatting and links to other cards
 * relations/  relations between cards, which follow a card that is merged
 * display/    the values of a card in groups, with what can be done with each
 * editing/    the card as a form, and the layout that says which fields it offers
 * greetings/  greetings and salutations in the person's language
 * table/      the book as a table: columns, cells, the clipboard
 */
export { findUpcoming, type UpcomingDay } from './dates/findUpcoming';
export type { LeapDayRule } from './dates/nextAnniversary';
export { briefLines } from './display/briefLines';
export type { CardValue, ShowOptions, ValueGroup } from './display/cardValue';
export { cardValues } from './display/cardValues';
export { type Reach, reachOf } from './display/reachOf';
export { unshownValues } from './display/unshownValues';
export { type CardForm, cardFormSchema } from './editing/cardForm';
export { DEFAULT_LAYOUT, FORM_PARTS, type FormPartId } from './editing/cardLayout';
export { FILL_FIELDS, type FillField, fillIn } from './editing/fillIn';
export { BLANK_ROWS, filledParts } from './editing/formParts';
export { fromForm, withFile } from './editing/fromForm';
export { type Spread, type SpreadCounts, spreadForm } from './editing/spreadForm';
export { toForm } from './editing/toForm';
export { writeCell } from './editing/writeCell';
export { hasFlag, withFlag } from './flags';
export { addressPart, formatAddress, placeOf } from './formatAddress';
export { greetingFor } from './greetings/greetingFor';
export { salutationFor } from './greetings/salutationFor';
export { carriersOf } from './identity/carriers';
export { compareEntries, type Entry, isAmong, UNITED, type United } from './identity/compareEntries';
export { countriesOf } from './identity/countryOf';
export { keepWriting } from './identity/keepWriting';
export { latinWords } from './identity/latinWords';
export { normalizeAddress } from './identity/normalizeAddress';
export { organisationKey, organisationWords } from './identity/organisationWords';
export { isBetterText } from './identity/sameness';
export { compareNumbers } from './identity/samePhone';
export { isSameValue } from './identity/sameValue';
export { formatLabel, type LabelKind, type Labelled, parseLabel, unwrapLabel } from './label';
export { deriveName, formatName } from './name/formatName';
export { initialsOf } from './name/initialsOf';
export { nameParts } from './name/nameParts';
export { startsWithTitle } from './name/nameWords';
export { parseName } from './name/parseName';
export { shownAs } from './name/shownAs';
export { type NameStyle, styledName } from './name/styledName';
export { type Collection, ID_PREFIXES, idFor, nextId } from './nextId';
export { linkToCard } from './notes/cardLinks';
export { noteHasLinks, type NoteSpan, parseNote } from './notes/parseNote';
export { indexOrganisations, renameOrganisation } from './organisations';
export { newCard, parseCard } from './parseCard';
export { applyEdits, type Direction, getAt, setAt } from './patch/applyEdits';
export { diffCards, diffJson, type Edit } from './patch/diffJson';
export { formatPointer, parsePointer } from './patch/pointer';
export { rebaseJson, uniteJson } from './patch/rebaseJson';
export { formatPhone } from './phone/formatPhone';
export { parsePhone } from './phone/parsePhone';
export { portraitOf } from './portraitOf';
export { preferEntry, preferredEntry } from './preferEntry';
export { relateBack } from './relations/relateBack';
export { RELATION_WORDS } from './relations/relationWords';
export { relinkCard } from './relations/relinkCard';
export { type Ringtone, ringtoneOf, RINGTONES } from './ringtones';
export { type CardRow, compareRows, hasRow, type RowStyle, toRow } from './row';
export type {
  Address,
  AddressComponent,
  Anniversary,
  AnniversaryDate,
  Card,
  Email,
  Media,
  Name,
  NameComponent,
  OnlineService,
  Phone,
  Uid,
} from './schema/types';
export { VENDOR } from './schema/vendor';
export { organisationOf, SECOND_PARTS, secondLine, type SecondPart, townOf } from './secondLine';
export { withSource } from './sources';
export { blockOf, type CellAt, type CellBlock, type CellText, spread } from './table/cellBlock';
export { compareCells, customColumns, type TableColumn, tableColumns } from './table/tableColumns';
export { readTsv, writeTsv } from './table/tsv';
export { isSameTag, renameTag, tagsOf, withoutTag, withTag } from './tags';
export { valueText } from './valueText';
export { isPrivate, withoutPrivate } from './withoutPrivate';
