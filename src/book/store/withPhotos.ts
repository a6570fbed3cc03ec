import type { Card } from '@/core/card';

import { attachPhotos, photoIds } from './detachPhotos';
import type { PhotoCache } from './photoCache';

/** Cards with the bytes of their photos in them, as they go out. */
export async function withPhotos(cards: readonly Card[], photos: PhotoCache): Promise<Card[]> {
  const bytes = await photos.getMany(cards.flatMap(photoIds));
  return cards.map((card) => attachPhotos(card, bytes));
}
