import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import { addNews } from '@/book/talks';
import { type Card, parseCard } from '@/core/card';
import { newsBetween } from '@/core/talks';
import { askHub, localDay } from '@/platform';

import { readDirectorySession } from './directorySession';

/** Cards asked after at once; whoever has copied more looks them up in turn, day by day. */
const MOST = 100;
/** The directory is looked through again after an hour, in milliseconds. */
const AGAIN_MS = 3_600_000;
let lookedAtMs = Number.NEGATIVE_INFINITY;

/**
 * Looks after cards that were copied from the common directory: what it says of them now and they don't is news. Where
 * nobody is signed in, or the hub is off, nothing is.
 */
export function lookInDirectory(): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    if (services.nowMs() - lookedAtMs < AGAIN_MS) return;
    const session = await readDirectorySession(services);
    if (!session) return;
    lookedAtMs = services.nowMs();
    const linked = selectCardsByUid(getState())
      .values()
      .flatMap((card) => {
        const entry = card['cordialis.example:directory'];
        return entry === undefined ? [] : [{ card, entry }];
      });
    const { country } = selectSettings(getState());
    for (const { card, entry } of linked.slice(0, MOST)) {
      const path = `/directory/entries/${encodeURIComponent(entry)}`;
      // Somebody who was taken out of the directory stays in the Book as they are.
      const answer = await askHub({ path, token: session.token, scheme: 'Directory' }).catch(() => undefined);
      const listed = cardOfEntry(answer);
      if (!listed) continue;
      const news = newsBetween(card, listed, { uid: card.uid, day: localDay(), from: 'directory', country });
      await dispatch(addNews(news));
    }
  };
}

/** The card of an entry as the hub gives it; undefined for anything else. */
export function cardOfEntry(entry: unknown): Card | undefined {
  if (typeof entry !== 'object' || entry === null || !('card' in entry)) return undefined;
  const read = parseCard(entry.card);
  return read.kind === 'card' ? read.card : undefined;
}
