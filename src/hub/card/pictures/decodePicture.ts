import { createJimp } from '@jimp/core';
import jpeg from '@jimp/js-jpeg';
import png from '@jimp/js-png';
import { methods as resizing } from '@jimp/plugin-resize';

const CODECS = { jpeg: jpeg(), png: png() } as const;
const Picture = createJimp({ plugins: [resizing], formats: [jpeg, png] });
/** A picture with its pixels. */
export type Pixels = InstanceType<typeof Picture>;

/** The most pixels decoded: a small file may claim to hold far more than fits into memory. */
const MAX_PIXELS = 50_000_000;

/** Decodes a picture; undefined where it is damaged or claims to be too large. */
export async function decodePicture(type: keyof typeof CODECS, octets: Buffer): Promise<Pixels | undefined> {
  if (type === 'png' && pixelsOfPng(octets) > MAX_PIXELS) return undefined;
  try {
    return Picture.fromBitmap(await CODECS[type].decode(octets));
  } catch {
    return undefined;
  }
}

/** Width times height from a PNG header (ISO/IEC 15948 §11.2.2). The JPEG decoder has such a limit itself. */
function pixelsOfPng(octets: Buffer): number {
  return octets.length < 24 ? 0 : octets.readUInt32BE(16) * octets.readUInt32BE(20);
}
