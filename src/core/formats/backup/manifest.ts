import { z } from 'zod';

/** What the list of a backup calls itself. */
export const BACKUP_FORMAT = 'cordialis-backup';
/** The version of backups that is written; this one and older ones are read. */
export const BACKUP_VERSION = 1;

/** The list of what is in a backup. */
export const manifestSchema = z.object({
  format: z.literal(BACKUP_FORMAT),
  version: z.number().int().positive(),
  /** UTCDateTime. */
  made: z.string(),
  cards: z.number().int().nonnegative(),
  files: z.array(z.object({ name: z.string(), bytes: z.number(), sha256: z.string() })),
});

/** The list of what is in a backup, and by what each file is known to be whole. */
export type BackupManifest = z.infer<typeof manifestSchema>;
