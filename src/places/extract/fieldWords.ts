import type { SpanField } from '@/core/extract';
import { texts } from '@/texts/extract/extract';

/** What the parts of a text are called. */
export const FIELD_WORDS: Readonly<Record<SpanField, string>> = {
  name: texts.name,
  sounds: texts.howItSounds,
  post: texts.whatTheyDo,
  department: texts.department,
  organisation: texts.organisation,
  phone: texts.phone,
  mobile: texts.mobile,
  fax: texts.fax,
  mail: texts.mail,
  link: texts.web,
  account: texts.account,
  street: texts.street,
  building: texts.building,
  postOfficeBox: texts.box,
  postcode: texts.postcode,
  town: texts.town,
  region: texts.region,
  country: texts.country,
  pronouns: texts.pronouns,
  birthday: texts.birthday,
  note: texts.note,
};
