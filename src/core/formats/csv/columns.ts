import { foldText, hashText } from '@/core/base';

/** What a column may say of a card, in the order of our own tables. `many`: told apart by a label and a number. */
export const FIELDS = [
  { id: 'title', heading: 'Title', part: 'Name', many: false },
  { id: 'given', heading: 'Given name', part: 'Name', many: false },
  { id: 'given2', heading: 'Middle names', part: 'Name', many: false },
  { id: 'surname', heading: 'Surname', part: 'Name', many: false },
  { id: 'surname2', heading: 'Second surname', part: 'Name', many: false },
  { id: 'generation', heading: 'Generation', part: 'Name', many: false },
  { id: 'credential', heading: 'Degrees', part: 'Name', many: false },
  { id: 'full', heading: 'Shown as', part: 'Name', many: false },
  { id: 'nickname', heading: 'Nickname', part: 'Name', many: true },
  { id: 'pronouns', heading: 'Pronouns', part: 'Name', many: false },
  { id: 'kind', heading: 'Kind', part: 'Name', many: false },
  { id: 'organization', heading: 'Organisation', part: 'Work', many: true },
  { id: 'unit', heading: 'Department', part: 'Work', many: true },
  { id: 'post', heading: 'Post', part: 'Work', many: true },
  { id: 'role', heading: 'Role', part: 'Work', many: true },
  { id: 'mail', heading: 'Mail', part: 'Reach', many: true },
  { id: 'phone', heading: 'Phone', part: 'Reach', many: true },
  { id: 'account', heading: 'Account', part: 'Reach', many: true },
  { id: 'web', heading: 'Web', part: 'Reach', many: true },
  { id: 'street', heading: 'Street', part: 'Address', many: true },
  { id: 'building', heading: 'Building', part: 'Address', many: true },
  { id: 'postbox', heading: 'Post box', part: 'Address', many: true },
  { id: 'town', heading: 'Town', part: 'Address', many: true },
  { id: 'region', heading: 'Region', part: 'Address', many: true },
  { id: 'postcode', heading: 'Postcode', part: 'Address', many: true },
  { id: 'country', heading: 'Country', part: 'Address', many: true },
  { id: 'countryCode', heading: 'Country code', part: 'Address', many: true },
  { id: 'address', heading: 'Address as a whole', part: 'Address', many: true },
  { id: 'birthday', heading: 'Birthday', part: 'Days', many: false },
  { id: 'wedding', heading: 'Wedding day', part: 'Days', many: false },
  { id: 'death', heading: 'Day of death', part: 'Days', many: false },
  { id: 'day', heading: 'Other day', part: 'Days', many: true },
  { id: 'language', heading: 'Language', part: 'More', many: true },
  { id: 'interest', heading: 'Interest', part: 'More', many: true },
  { id: 'hobby', heading: 'Hobby', part: 'More', many: true },
  { id: 'expertise', heading: 'Expertise', part: 'More', many: true },
  { id: 'tags', heading: 'Tags', part: 'More', many: false },
  { id: 'note', heading: 'Note', part: 'More', many: true },
  { id: 'own', heading: 'Own field', part: 'More', many: true },
  { id: 'uid', heading: 'UID', part: 'More', many: false },
  { id: 'none', heading: 'Left out', part: 'More', many: false },
] as const;

/** The name of what a column says. */
export type FieldId = (typeof FIELDS)[number]['id'];

/** What one column of a table says of a card. */
export interface Column {
  readonly field: FieldId;
  /** "work mobile", or the user's own; '' for none. */
  readonly label: string;
  /** Counted from 1 among columns of the same field and label. */
  readonly number: number;
}

/** A column as our own tables head it: "Phone (work mobile) 2". parseHeading reads it back. */
export function formatHeading({ field, label, number }: Column): string {
  const heading = FIELDS.find(({ id }) => id === field)?.heading ?? '';
  return [heading, label === '' ? '' : `(${label})`, number > 1 ? String(number) : '']
    .filter(Boolean)
    .join(' ');
}

const BY_HEADING = new Map(FIELDS.map(({ id, heading }) => [foldText(heading), id]));

/** Reads a heading of our own tables; undefined for any other. */
export function parseHeading(text: string): Column | undefined {
  const match = /^([^()\d]+?)\s*(?:\((.*)\))?\s*(\d{1,3})?$/s.exec(text.trim());
  const field = BY_HEADING.get(foldText(match?.[1] ?? ''));
  if (!match || field === undefined) return undefined;
  return { field, label: match[2]?.trim() ?? '', number: Math.max(1, Number(match[3] ?? 1)) };
}

/** What a table's headings are remembered by: the same headings in the same order give the same. */
export function columnsKey(headings: readonly string[]): string {
  return hashText(headings.map((heading) => foldText(heading).trim()).join('\n'));
}
