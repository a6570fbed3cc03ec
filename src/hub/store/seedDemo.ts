import { generateBook } from '@/demo';

import { lastSeq, putCard } from './cards';
import { inTransaction } from './openStore';
import type { HubDb } from './schema/tables';

/** The log text for cards of the demo. */
export const SEED_SAYS = 'From the demo';

/** Puts the demo's cards into an empty store, so that devices have something to be served. @returns whether it was */
export async function seedDemo(db: HubDb, today: string): Promise<boolean> {
  if ((await lastSeq(db)) > 0) return false;
  const source = { at: `${today}T00:00:00Z`, device: null, says: SEED_SAYS };
  await inTransaction(db, async (store) => {
    for (const card of generateBook(today))
      if (card['cordialis.example:private'] !== true) await putCard(store, card.uid, card, source);
  });
  return true;
}
