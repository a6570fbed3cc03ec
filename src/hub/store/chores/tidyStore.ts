import { aboutOf, setAbout } from '../about';
import { inTransaction } from '../openStore';
import type { HubDb } from '../schema/tables';
import { clearPictures } from './clearPictures';
import { type Retention, thinChanges } from './thinChanges';

const NAME = 'tidied';
/** How often, in milliseconds. */
const DAY_MS = 24 * 3600 * 1000;

/** What went. */
export interface Tidied {
  /** Changes whose versions of a card are kept no longer. */
  readonly changes: number;
  readonly pictures: number;
}

/**
 * Clears away what is kept no longer, once a day.
 *
 * @param now - UTCDateTime
 * @returns undefined where it isn't due, or was stopped
 */
export async function tidyStore(
  db: HubDb,
  retention: Retention,
  now: string,
  hasToStop: () => boolean,
): Promise<Tidied | undefined> {
  const last = Date.parse((await aboutOf(db, NAME)) ?? '');
  const sinceMs = Date.parse(now) - last;
  // One that is in the future was written when the clock said something else.
  if (sinceMs >= 0 && sinceMs < DAY_MS) return undefined;
  const changes = await thinChanges(db, retention, now, hasToStop);
  const pictures = await clearPictures(db, now, hasToStop);
  if (hasToStop()) return undefined;
  await inTransaction(db, (store) => setAbout(store, NAME, now));
  return { changes, pictures };
}
