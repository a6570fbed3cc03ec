import { z } from 'zod';

import type { AppThunk } from '@/book/state';
import { KEYS } from '@/book/store';

const reportSchema = z.object({
  /** The file's name, or how many there were. */
  source: z.string(),
  /** Cards taken in, found here and the same, and left out by the user. */
  taken: z.number(),
  same: z.number(),
  left: z.number(),
  problems: z.readonly(
    z.array(
      z.object({
        file: z.string(),
        code: z.string(),
        line: z.number(),
        message: z.string(),
        text: z.string().exactOptional(),
      }),
    ),
  ),
  /** Of the step that Undo takes back; none where nothing was taken in. */
  changeId: z.string().optional(),
});

/** What an import did, as it can be read afterwards. */
export type ImportReport = z.infer<typeof reportSchema>;

/** Keeps what the last import did, in place of what the one before did. */
export function keepImportReport(report: ImportReport): AppThunk {
  return (_, __, { writer }) => writer.put(KEYS.importReport, JSON.stringify(report));
}

/** What the last import did; undefined where there was none, or its record is damaged. */
export function readImportReport(): AppThunk<Promise<ImportReport | undefined>> {
  return async (_, __, { storage, writer }) => {
    await writer.flush();
    const text = await storage.getItem(KEYS.importReport);
    try {
      return text === null ? undefined : reportSchema.safeParse(JSON.parse(text)).data;
    } catch {
      return undefined;
    }
  };
}
