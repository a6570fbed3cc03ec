import { z } from 'zod';

import { addressSchema } from './addressSchema';
import { entriesOf, setSchema, utcDateTimeSchema, vCardParamsSchema } from './common';
import {
  calendarSchema,
  cryptoKeySchema,
  directorySchema,
  emailSchema,
  languagePrefSchema,
  linkSchema,
  mediaSchema,
  onlineServiceSchema,
  phoneSchema,
  schedulingAddressSchema,
} from './contactSchema';
import { anniversarySchema, noteSchema, personalInfoSchema } from './detailSchema';
import {
  nameSchema,
  nicknameSchema,
  organizationSchema,
  relationSchema,
  speakToAsSchema,
  titleSchema,
} from './nameSchema';
import { vendorShape } from './vendor';

/** RFC 9555 §3.2.3: a vCard property without an equivalent, as jCard writes it (RFC 7095 §3.3). */
const vCardPropSchema = z.tuple([z.string(), vCardParamsSchema, z.string()]).rest(z.unknown());

/** RFC 9553 §2: one card. Properties that are not listed here are kept as they are. */
export const cardSchema = z.looseObject({
  '@type': z.literal('Card'),
  version: z.literal('1.0'),
  uid: z.string().min(1),
  created: utcDateTimeSchema.exactOptional(),
  updated: utcDateTimeSchema.exactOptional(),
  kind: z.string().exactOptional(),
  language: z.string().exactOptional(),
  prodId: z.string().exactOptional(),
  members: setSchema.exactOptional(),
  relatedTo: z.record(z.string(), relationSchema).exactOptional(),
  name: nameSchema.exactOptional(),
  nicknames: entriesOf(nicknameSchema).exactOptional(),
  organizations: entriesOf(organizationSchema).exactOptional(),
  speakToAs: speakToAsSchema.exactOptional(),
  titles: entriesOf(titleSchema).exactOptional(),
  emails: entriesOf(emailSchema).exactOptional(),
  onlineServices: entriesOf(onlineServiceSchema).exactOptional(),
  phones: entriesOf(phoneSchema).exactOptional(),
  preferredLanguages: entriesOf(languagePrefSchema).exactOptional(),
  calendars: entriesOf(calendarSchema).exactOptional(),
  schedulingAddresses: entriesOf(schedulingAddressSchema).exactOptional(),
  addresses: entriesOf(addressSchema).exactOptional(),
  cryptoKeys: entriesOf(cryptoKeySchema).exactOptional(),
  directories: entriesOf(directorySchema).exactOptional(),
  links: entriesOf(linkSchema).exactOptional(),
  media: entriesOf(mediaSchema).exactOptional(),
  localizations: z.record(z.string(), z.record(z.string(), z.unknown())).exactOptional(),
  anniversaries: entriesOf(anniversarySchema).exactOptional(),
  keywords: setSchema.exactOptional(),
  notes: entriesOf(noteSchema).exactOptional(),
  personalInfo: entriesOf(personalInfoSchema).exactOptional(),
  vCardProps: z.array(vCardPropSchema).exactOptional(),
  ...vendorShape,
});
