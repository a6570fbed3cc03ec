import { z } from 'zod';

import { type Card, parseCard } from '@/core/card';
import { texts } from '@/texts/directory/directory';

/** Roles of the directory, the most powerful first. */
export const ROLES = ['administrator', 'editor', 'reader'] as const;
/** One of them. */
export type Role = (typeof ROLES)[number];
/** Checks one from outside. */
export const roleSchema = z.enum(ROLES);

/** Somebody in the directory. */
export const directoryEntrySchema = z.object({
  card: z.unknown().transform((value, context): Card => {
    const read = parseCard(value);
    if (read.kind === 'card') return read.card;
    context.addIssue({ code: 'custom', message: texts.thisIsNoCard });
    return z.NEVER;
  }),
  /** Whether they are internal; else a vendor, consultant or partner. */
  isInside: z.boolean(),
  /** Kept from readers. */
  isHidden: z.boolean(),
  /** The first and the last day on which readers find the entry, ISO 8601; none for no limit. */
  validFrom: z.iso.date().exactOptional(),
  validTo: z.iso.date().exactOptional(),
});

/** Somebody in the directory. */
export type DirectoryEntry = z.infer<typeof directoryEntrySchema>;

/** Whether a day lies within the days for which an entry is. @param today - ISO 8601 calendar date */
export function isInForce(
  { validFrom, validTo }: Pick<DirectoryEntry, 'validFrom' | 'validTo'>,
  today: string,
): boolean {
  return (validFrom === undefined || validFrom <= today) && (validTo === undefined || today <= validTo);
}
