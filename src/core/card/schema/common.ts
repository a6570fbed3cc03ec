import { z } from 'zod';

import { isObject } from '@/core/base';

// Zod's compiled mode builds functions from text, which the page's content security policy forbids.
z.config({ jitless: true });

/** RFC 9553 §1.4.1: an Id is 1 to 255 octets of A–Z a–z 0–9 - _. */
export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{1,255}$/);

/** RFC 9553 §1.4.5: a date-time in UTC, such as 2010-10-10T10:10:10Z; fractions of a second without trailing zeros. */
export const utcDateTimeSchema = z.string().regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d*[1-9])?Z$/);

/** RFC 9553 §1.4.4: a map whose only value is true. A record of Zod's would drop the word `__proto__`. */
export const setSchema = z
  .custom<Record<string, true>>(isObject, 'expected an object whose values are all true')
  .superRefine((set, context) => {
    for (const [key, value] of Object.entries(set) as [string, unknown][])
      if (value !== true) context.addIssue({ code: 'custom', path: [key], message: 'expected true' });
  });

/** RFC 9553 §1.5.1 to §1.5.3: what any entry may say about its use. */
export const useShape = {
  /** private, work; addresses also billing and delivery. */
  contexts: setSchema.exactOptional(),
  /** 1 (most preferred) to 100. */
  pref: z.number().int().min(1).max(100).exactOptional(),
  label: z.string().exactOptional(),
};

/** RFC 9555 §3.2.2: vCard parameters that JSContact has no property for, by lower-case name. */
export const vCardParamsSchema = z.record(z.string(), z.union([z.string(), z.array(z.string())]));

/** What RFC 9555 §3.2 adds to any entry so that a vCard comes back as it was. */
export const vCardShape = {
  vCardName: z.string().exactOptional(),
  vCardParams: vCardParamsSchema.exactOptional(),
};

/** A map of entries by Id; unknown properties of an entry stay (RFC 9553 §1.7.1). */
export function entriesOf<T extends z.ZodType>(entry: T) {
  return z.record(idSchema, entry);
}
