import { createHash } from 'node:crypto';

import type { Card } from '@/core/card';

import type { Pixels } from './decodePicture';

/** JPEG quality, 0 to 100: enough for a face on a small screen. */
const QUALITY = 80;
/** Resized pictures kept in memory; a device asks for each once, and for some again. */
const KEPT = 500;
const kept = new Map<string, Promise<string>>();

/**
 * Resizes a picture to what a device shows. A picture that is small enough, can't be decoded here or has no pixels
 * (SVG) stays as it is.
 *
 * @param uri - data: URI (RFC 2397)
 * @param side - the longer side at most, in pixels
 */
export function cutPicture(uri: string, side: number): Promise<string> {
  const key = `${side} ${createHash('sha256').update(uri).digest('base64')}`;
  const known = kept.get(key);
  if (known) return known;
  const cut = cutNow(uri, side);
  kept.set(key, cut);
  const [oldest] = kept.keys();
  if (kept.size > KEPT && oldest !== undefined) kept.delete(oldest);
  return cut;
}

async function cutNow(uri: string, side: number): Promise<string> {
  const picture = await readPicture(uri);
  if (!picture || Math.max(picture.width, picture.height) <= side) return uri;
  picture.scaleToFit({ w: side, h: side });
  const octets = await picture.getBuffer('image/jpeg', { quality: QUALITY });
  return `data:image/jpeg;base64,${octets.toString('base64')}`;
}

/** Decodes a picture; undefined for one without pixels or in an unknown format. The decoder is loaded on first use. */
async function readPicture(uri: string): Promise<Pixels | undefined> {
  const [, type, data] = /^data:image\/(jpeg|png);base64,(.*)$/s.exec(uri) ?? [];
  if ((type !== 'jpeg' && type !== 'png') || data === undefined) return undefined;
  const { decodePicture } = await import('./decodePicture');
  return decodePicture(type, Buffer.from(data, 'base64'));
}

/** A card with its photos resized. @param side - in pixels; null for as they are */
export async function withCutPictures(card: Card, side: number | null): Promise<Card> {
  if (side === null || !card.media) return card;
  const media: NonNullable<Card['media']> = {};
  for (const [id, entry] of Object.entries(card.media)) {
    const uri = entry.uri === undefined ? undefined : await cutPicture(entry.uri, side);
    const isCut = uri !== undefined && uri !== entry.uri;
    media[id] = isCut
      ? { ...entry, uri, ...(entry.mediaType === undefined ? {} : { mediaType: 'image/jpeg' }) }
      : entry;
  }
  return { ...card, media };
}

/** Squares per side that pictures are compared by. */
const GRID = 16;
/** Mean difference of two pictures' squares, of 255: another size or quality is below it, another face above. */
const NEAR = 10;

/** Whether two pictures show the same, in whatever size and encoding. */
export async function isSamePicture(a: string, b: string): Promise<boolean> {
  if (a === b) return true;
  const [first, second] = [await readPicture(a), await readPicture(b)];
  if (!first || !second) return false;
  const shapes = [first, second].map(({ width, height }) => width / height);
  // With another crop it is another picture.
  if (Math.abs(Math.log((shapes[0] ?? 1) / (shapes[1] ?? 1))) > 0.05) return false;
  const [one, other] = [squaresOf(first), squaresOf(second)];
  const apart = one.reduce((sum, value, i) => sum + Math.abs(value - (other[i] ?? 0)), 0);
  return apart / one.length <= NEAR;
}

/** The mean red, green and blue of each square. */
function squaresOf({ width, height, bitmap: { data } }: Pixels): number[] {
  const sums = new Array<number>(GRID * GRID * 3).fill(0);
  const counts = new Array<number>(GRID * GRID).fill(0);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const square = Math.floor((y * GRID) / height) * GRID + Math.floor((x * GRID) / width);
      const at = (y * width + x) * 4;
      counts[square] = (counts[square] ?? 0) + 1;
      for (let c = 0; c < 3; c += 1) sums[square * 3 + c] = (sums[square * 3 + c] ?? 0) + (data[at + c] ?? 0);
    }
  return sums.map((sum, i) => sum / Math.max(1, counts[Math.floor(i / 3)] ?? 1));
}

/** Replaces pictures that a device sent by those it was served, where they show the same. */
export async function withServedPictures(served: Card, sent: Card): Promise<Card> {
  if (!served.media || !sent.media) return sent;
  const media: NonNullable<Card['media']> = {};
  const open = Object.values(served.media);
  for (const [id, entry] of Object.entries(sent.media)) {
    let same: (typeof open)[number] | undefined;
    for (const one of open)
      if (entry.uri !== undefined && one.uri !== undefined && (await isSamePicture(one.uri, entry.uri)))
        same = one;
    media[id] = same ? { ...entry, ...same } : entry;
  }
  return { ...sent, media };
}
