import { hashText } from '@/core/base';
import type { Card, Media } from '@/core/card';

import type { PhotoCache } from './photoCache';

/** Data shorter than this stays on the card, in characters of its data: URI. */
const KEEP_BELOW = 200;

/** A card without the bytes of its photos, and those bytes by the id that stands for them. */
export interface Detached {
  readonly card: Card;
  /** data: URIs by blobId. */
  readonly photos: Readonly<Record<string, string>>;
}

/**
 * Detaches the bytes of a card's photos, so that cards stay small in memory. What is left is a blobId (RFC 9610),
 * made of the bytes themselves: the same photo is kept once, and an undone change finds it again.
 */
export function detachPhotos(card: Card): Detached {
  const photos: Record<string, string> = {};
  const media = mapMedia(card, (entry) => {
    const { uri, ...rest } = entry;
    if (uri === undefined || !uri.startsWith('data:') || uri.length < KEEP_BELOW) return entry;
    const blobId = hashText(uri);
    photos[blobId] = uri;
    return { ...rest, blobId };
  });
  return { card: media ? { ...card, media } : card, photos };
}

/** Puts the bytes back; where they are missing the blobId stays. */
export function attachPhotos(card: Card, photos: Readonly<Record<string, string | null>>): Card {
  const media = mapMedia(card, (entry) => {
    const { blobId, ...rest } = entry;
    const uri = blobId === undefined ? null : photos[blobId];
    return typeof uri === 'string' ? { ...rest, uri } : entry;
  });
  return media ? { ...card, media } : card;
}

/** The ids of all photos that a card stands for. */
export function photoIds(card: Card): string[] {
  return Object.values(card.media ?? {}).flatMap(({ blobId }) => blobId ?? []);
}

function mapMedia(card: Card, map: (entry: Media) => Media): Record<string, Media> | undefined {
  if (!card.media) return undefined;
  return Object.fromEntries(Object.entries(card.media).map(([id, entry]) => [id, map(entry)]));
}

/** Cards with the bytes of their photos in them, as they go out. */
export async function withPhotos(cards: readonly Card[], photos: PhotoCache): Promise<Card[]> {
  const bytes = await photos.getMany(cards.flatMap(photoIds));
  return cards.map((card) => attachPhotos(card, bytes));
}
