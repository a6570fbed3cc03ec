import { createHash } from 'node:crypto';

import type { Sharp } from 'sharp';

import type { Card } from '@/core/card';

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
  return keptIn(kept, `${side} ${hashOf(uri)}`, () => cutNow(uri, side));
}

async function cutNow(uri: string, side: number): Promise<string> {
  const octets = await withOctets(uri, async (picture) => {
    const { width, height } = await picture.metadata();
    if (Math.max(width, height) <= side) return undefined;
    // Upright, as the note on how the camera was held isn't kept.
    return picture
      .autoOrient()
      .resize({ width: side, height: side, fit: 'inside' })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer();
  });
  return octets ? `data:image/jpeg;base64,${octets.toString('base64')}` : uri;
}

/** Works on a picture that has pixels; undefined for one without, in an unknown format or damaged. The decoder is loaded on first use. */
async function withOctets<T>(uri: string, work: (picture: Sharp) => Promise<T>): Promise<T | undefined> {
  const data = /^data:image\/(?:jpeg|png|webp|gif);base64,(.*)$/s.exec(uri)?.[1];
  if (data === undefined) return undefined;
  const { withPicture } = await import('./decodePicture');
  return withPicture(Buffer.from(data, 'base64'), work);
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
  const [first, second] = await Promise.all([looksOf(a), looksOf(b)]);
  if (!first || !second) return false;
  // With another crop it is another picture.
  if (Math.abs(Math.log(first.shape / second.shape)) > 0.05) return false;
  const apart = first.squares.reduce((sum, value, i) => sum + Math.abs(value - (second.squares[i] ?? 0)), 0);
  return apart / first.squares.length <= NEAR;
}

/** What a picture is compared by. */
interface Looks {
  /** Width by height. */
  readonly shape: number;
  /** The mean red, green and blue of each square. */
  readonly squares: readonly number[];
}

const looks = new Map<string, Promise<Looks | undefined>>();

/** Kept, as a device that changes a number sends the same picture along. */
function looksOf(uri: string): Promise<Looks | undefined> {
  return keptIn(looks, hashOf(uri), () =>
    withOctets(uri, async (picture) => {
      const { data, info } = await picture
        .autoOrient()
        .removeAlpha()
        .toColourspace('srgb')
        .resize({ width: GRID, height: GRID, fit: 'fill' })
        .raw()
        .toBuffer({ resolveWithObject: true });
      const { width, height, orientation = 1 } = await picture.metadata();
      // From 5 on it lies on its side (Exif 2.3, Orientation).
      const shape = orientation < 5 ? width / height : height / width;
      return { shape, squares: [...data].filter((_, i) => i % info.channels < 3) };
    }),
  );
}

function hashOf(uri: string): string {
  return createHash('sha256').update(uri).digest('base64');
}

function keptIn<T>(among: Map<string, Promise<T>>, key: string, make: () => Promise<T>): Promise<T> {
  const known = among.get(key);
  if (known) return known;
  const made = make();
  among.set(key, made);
  const [oldest] = among.keys();
  if (among.size > KEPT && oldest !== undefined) among.delete(oldest);
  return made;
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
