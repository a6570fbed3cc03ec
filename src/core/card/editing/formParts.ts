import type { CardForm } from './cardForm';
import { FORM_PARTS, type FormPartId } from './cardLayout';
import { BLANK_WORK } from './toForm';

const row = { id: '', label: '', isPrivate: false };

/** Empty rows. */
export const BLANK_ROWS = {
  work: BLANK_WORK,
  phones: { ...row, label: 'mobile', isPreferred: false, number: '' },
  emails: { ...row, label: 'work', isPreferred: false, address: '', shownAs: '' },
  accounts: { ...row, text: '' },
  addresses: {
    ...row,
    label: 'work',
    isPost: false,
    street: '',
    postcode: '',
    locality: '',
    region: '',
    country: '',
  },
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
    if (Array.isArray(value)) return value.some(saysSomething);
    return [value.givenSound, value.surnameSound, value.sortedAs].some((text) => text.trim() !== '');
  });
}

/** Whether a row says anything. */
export function saysSomething(row: object): boolean {
  return Object.entries(row).some(says);
}

/** Whether a field of a row counts as content; labels and ids don't. */
function says([name, value]: [string, unknown]): boolean {
  return (
    name !== 'id' &&
    name !== 'label' &&
    !name.endsWith('Id') &&
    typeof value === 'string' &&
    value.trim() !== ''
  );
}
