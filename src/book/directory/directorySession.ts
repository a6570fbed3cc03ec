import { z } from 'zod';

import type { Services } from '@/book/state';
import { KEYS, parseJson } from '@/book/store';

/** Who is signed in to the common directory in this browser. */
export const directorySessionSchema = z.object({
  token: z.string().min(1),
  name: z.string(),
  role: z.enum(['administrator', 'editor', 'reader']),
});

/** Who is signed in to the common directory in this browser. */
export type DirectorySession = z.infer<typeof directorySessionSchema>;

/** The session that is kept; undefined where nobody is signed in. The hub may have ended it since. Asked while one types. */
export async function readDirectorySession({
  storage,
}: Pick<Services, 'storage'>): Promise<DirectorySession | undefined> {
  return directorySessionSchema.safeParse(parseJson(await storage.getItem(KEYS.directory))).data;
}

/** Keeps a session, or none. */
export async function keepDirectorySession(
  { writer }: Pick<Services, 'writer'>,
  session: DirectorySession | undefined,
): Promise<void> {
  writer.put(KEYS.directory, session ? JSON.stringify(session) : '');
  await writer.flush();
}
