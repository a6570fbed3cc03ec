import { z } from 'zod';

import { addressSchema } from './addressSchema';
import { useShape, utcDateTimeSchema, vCardShape } from './common';

/** RFC 9553 §2.8.1: year, month and day, of which some may be missing; a day never stands without its month. */
export const partialDateSchema = z
  .looseObject({
    '@type': z.literal('PartialDate').exactOptional(),
    year: z.number().int().min(0).max(9999).exactOptional(),
    month: z.number().int().min(1).max(12).exactOptional(),
    day: z.number().int().min(1).max(31).exactOptional(),
    calendarScale: z.string().exactOptional(),
  })
  .refine((date) => date.year !== undefined || date.month !== undefined, {
    message: 'needs a year or a month',
  })
  .refine((date) => date.day === undefined || date.month !== undefined, {
    message: 'a day needs its month',
  });

const timestampSchema = z.looseObject({ '@type': z.literal('Timestamp'), utc: utcDateTimeSchema });

/** RFC 9553 §2.8.1: birth, death, wedding or another yearly day. */
export const anniversarySchema = z.looseObject({
  '@type': z.literal('Anniversary').exactOptional(),
  kind: z.string(),
  date: z.union([timestampSchema, partialDateSchema]),
  place: addressSchema.exactOptional(),
  ...useShape,
  ...vCardShape,
});

const authorSchema = z.looseObject({
  '@type': z.literal('Author').exactOptional(),
  name: z.string().exactOptional(),
  uri: z.string().exactOptional(),
});

/** RFC 9553 §2.8.3. */
export const noteSchema = z.looseObject({
  '@type': z.literal('Note').exactOptional(),
  note: z.string(),
  created: utcDateTimeSchema.exactOptional(),
  author: authorSchema.exactOptional(),
  ...useShape,
  ...vCardShape,
});

/** RFC 9553 §2.8.4: expertise, hobby or interest, with a level of high, medium or low. */
export const personalInfoSchema = z.looseObject({
  '@type': z.literal('PersonalInfo').exactOptional(),
  kind: z.string(),
  value: z.string(),
  level: z.string().exactOptional(),
  listAs: z.number().int().positive().exactOptional(),
  ...useShape,
  ...vCardShape,
});
