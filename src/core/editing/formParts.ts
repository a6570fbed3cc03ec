import type { CardForm } from './cardForm';
import { BLANK_WORK } from './toForm';

/** The parts of the editing page beside the name itself, in groups, in the order in which they are offered. */
export const FORM_PARTS = [
  { id: 'parts', title: 'Parts of the name', group: 'Name' },
  { id: 'nickname', title: 'Nickname', group: 'Name' },
  { id: 'pronouns', title: 'Pronouns', group: 'Name' },
  { id: 'work', title: 'Work', group: 'Work' },
  { id: 'phones', title: 'Phone', group: 'Reach' },
  { id: 'emails', title: 'Mail', group: 'Reach' },
  { id: 'accounts', title: 'Account or chat', group: 'Reach' },
  { id: 'addresses', title: 'Address', group: 'Reach' },
  { id: 'links', title: 'Web', group: 'Reach' },
  { id: 'dates', title: 'Birthday and other days', group: 'Life' },
  { id: 'relations', title: 'Family and other people', group: 'Life' },
  { id: 'infos', title: 'Interests, hobbies, what they are good at', group: 'Life' },
  { id: 'languages', title: 'Languages', group: 'Life' },
  { id: 'timeZone', title: 'Time zone', group: 'Life' },
  { id: 'tags', title: 'Tags', group: 'More' },
  { id: 'notes', title: 'Note', group: 'More' },
  { id: 'ownFields', title: 'Own field', group: 'More' },
  { id: 'files', title: 'File', group: 'More' },
  { id: 'keys', title: 'Key', group: 'More' },
] as const satisfies readonly { id: keyof CardForm; title: string; group: string }[];

/** The name of a part. */
export type FormPartId = (typeof FORM_PARTS)[number]['id'];

/** What a new card offers at once, before the user has laid it out otherwise. */
export const DEFAULT_LAYOUT: readonly FormPartId[] = [
  ...(['work', 'nickname', 'phones', 'emails', 'addresses', 'links', 'dates', 'notes'] as const),
];

const row = { id: '', label: '', isPrivate: false };

/** Rows as they begin. */
export const BLANK_ROWS = {
  work: BLANK_WORK,
  phones: { ...row, label: 'mobile', isPreferred: false, number: '' },
  emails: { ...row, label: 'work', isPreferred: false, address: '', shownAs: '' },
  accounts: { ...row, text: '' },
  addresses: { ...row, label: 'work', street: '', postcode: '', locality: '', region: '', country: '' },
  links: { ...row, uri: '' },
  dates: { ...row, label: 'birthday', text: '' },
  infos: { id: '', label: 'interest', text: '' },
  relations: { id: '', label: '', text: '' },
  notes: { id: '', isPrivate: false, text: '' },
  ownFields: { ...row, text: '' },
  keys: { id: '', text: '' },
  files: { id: '', text: '', uri: '' },
};

/** Which parts of a form say something. */
export function filledParts(form: CardForm): FormPartId[] {
  return FORM_PARTS.map(({ id }) => id).filter((id) => {
    const value = form[id];
    if (typeof value === 'string') return value.trim() !== '';
    if (Array.isArray(value)) return value.some((entry) => Object.entries(entry).some(says));
    return [value.givenSound, value.surnameSound, value.sortedAs].some((text) => text.trim() !== '');
  });
}

/** Whether a field of a row says something by itself; labels and ids don't. */
function says([name, value]: [string, unknown]): boolean {
  return (
    name !== 'id' &&
    name !== 'label' &&
    !name.endsWith('Id') &&
    typeof value === 'string' &&
    value.trim() !== ''
  );
}
