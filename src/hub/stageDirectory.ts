import { encodeUtf8 } from '@/core/base';
import { DIRECTORY_TABLE } from '@/demo';
import { addUser, listUsers, putEntries, readDirectoryCsv } from '@/hub/directory';
import type { HubDb } from '@/hub/store';
import { DEMO_ACCESS } from '@/texts/base/demoAccess';

/** Gives the demo's directory its people, those who have access, and with both a log, unless somebody has made one. */
export async function stageDirectory(db: HubDb, today: string): Promise<void> {
  if ((await listUsers(db)).length > 0) return;
  const [first] = DEMO_ACCESS.users;
  const by = { name: first.name, now: `${today}T08:00:00Z` };
  for (const { name, role } of DEMO_ACCESS.users)
    await addUser(db, { name, role, passphrase: DEMO_ACCESS.passphrase }, by);
  let count = 0;
  const { fresh } = readDirectoryCsv(encodeUtf8(DIRECTORY_TABLE), [], {
    isInside: true,
    newUid: () => `urn:x-cordialis:directory:${++count}`,
  });
  await putEntries(db, fresh, by);
}
