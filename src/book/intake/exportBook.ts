import type { Card } from '@/core/card';

import type { AppThunk } from '../appStore';
import { selectCardsByUid } from '../cards/cardsSlice';
import { type Job, writeFileInWorker } from '../clients/filesClient';
import { attachPhotos, photoIds } from '../photos/detachPhotos';
import type { Progress } from '../workers/files';

/** Starts writing the whole book, photos included, as the text of one file. */
export function exportBook(formatId: string, onProgress: Progress): AppThunk<Promise<Job<string>>> {
  return async (_, getState, services) => {
    const cards: Card[] = Object.values(selectCardsByUid(getState()));
    const photos = await services.photos.getMany(cards.flatMap(photoIds));
    return writeFileInWorker(cards.map((card) => attachPhotos(card, photos)), formatId, onProgress);
  };
}
