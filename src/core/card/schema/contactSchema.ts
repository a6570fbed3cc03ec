import { z } from 'zod';

import { setSchema, useShape, vCardShape } from './common';

/** RFC 9553 §2.3.3.1: what a phone number can do. */
export const PHONE_FEATURES = [
  'mobile',
  'voice',
  'text',
  'video',
  'main-number',
  'textphone',
  'fax',
  'pager',
] as const;

/** RFC 9553 §2.3.1. */
export const emailSchema = z.looseObject({
  '@type': z.literal('EmailAddress').exactOptional(),
  address: z.string(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §2.3.2. */
export const onlineServiceSchema = z.looseObject({
  '@type': z.literal('OnlineService').exactOptional(),
  service: z.string().exactOptional(),
  uri: z.string().exactOptional(),
  user: z.string().exactOptional(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §2.3.3: `number` is free text or a URI, such as tel:+44-20-7946-0958. */
export const phoneSchema = z.looseObject({
  '@type': z.literal('Phone').exactOptional(),
  number: z.string(),
  features: setSchema.exactOptional(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §2.3.4: a language tag by RFC 5646. */
export const languagePrefSchema = z.looseObject({
  '@type': z.literal('LanguagePref').exactOptional(),
  language: z.string(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §2.4.2. */
export const schedulingAddressSchema = z.looseObject({
  '@type': z.literal('SchedulingAddress').exactOptional(),
  uri: z.string(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §1.4.4 (Resource): what calendars, keys, directories, links and media share. */
const resourceShape = {
  kind: z.string().exactOptional(),
  mediaType: z.string().exactOptional(),
  ...useShape,
  ...vCardShape,
};

/** RFC 9553 §2.4.1. */
export const calendarSchema = z.looseObject({
  '@type': z.literal('Calendar').exactOptional(),
  uri: z.string(),
  ...resourceShape,
});

/** RFC 9553 §2.6.1. */
export const cryptoKeySchema = z.looseObject({
  '@type': z.literal('CryptoKey').exactOptional(),
  uri: z.string(),
  ...resourceShape,
});

/** RFC 9553 §2.6.2. */
export const directorySchema = z.looseObject({
  '@type': z.literal('Directory').exactOptional(),
  uri: z.string(),
  listAs: z.number().int().positive().exactOptional(),
  ...resourceShape,
});

/** RFC 9553 §2.6.3. */
export const linkSchema = z.looseObject({
  '@type': z.literal('Link').exactOptional(),
  uri: z.string(),
  ...resourceShape,
});

/** RFC 9553 §2.6.4: photo, sound or logo; `blobId` (RFC 9610) stands for a uri while the bytes lie elsewhere. */
export const mediaSchema = z.looseObject({
  '@type': z.literal('Media').exactOptional(),
  uri: z.string().exactOptional(),
  blobId: z.string().exactOptional(),
  ...resourceShape,
});
