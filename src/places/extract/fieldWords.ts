import type { SpanField } from '@/core/extract';

/** What the parts of a text are called. */
export const FIELD_WORDS: Readonly<Record<SpanField, string>> = {
  name: 'name',
  sounds: 'how it sounds',
  post: 'what they do',
  department: 'department',
  organisation: 'organisation',
  phone: 'phone',
  mobile: 'mobile',
  fax: 'fax',
  mail: 'mail',
  link: 'web',
  account: 'account',
  street: 'street',
  building: 'building',
  postOfficeBox: 'box',
  postcode: 'postcode',
  town: 'town',
  region: 'region',
  country: 'country',
  pronouns: 'pronouns',
  birthday: 'birthday',
  note: 'note',
};
