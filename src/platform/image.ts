import { readAsDataUri } from './files';

/** A rectangle of a picture, in its own pixels. */
export interface PictureArea {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** How well a photo is kept, 0 to 1; beyond it files grow and nobody sees why. */
const QUALITY01 = 0.86;

/**
 * The bytes of a picture as a data: URI, to be looked at; nothing of it is kept yet. @throws Error for what is no
 * picture
 */
export async function openPicture(file: Blob): Promise<string> {
  const uri = await readAsDataUri(file);
  await decodePicture(uri);
  return uri;
}

async function decodePicture(uri: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = uri;
  try {
    await image.decode();
  } catch {
    throw new Error('this is no picture that can be shown here');
  }
  return image;
}

/**
 * A part of a picture, redrawn as JPEG: what the file says beside the picture (where and by what it was taken, EXIF)
 * is not in it.
 *
 * @param longSide - pixels of the longer side at most
 */
export async function cropPicture(
  uri: string,
  area: PictureArea | undefined,
  longSide: number,
): Promise<string> {
  const image = await decodePicture(uri);
  const part = area ?? { x: 0, y: 0, width: image.naturalWidth, height: image.naturalHeight };
  const scale = Math.min(1, longSide / Math.max(part.width, part.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(part.width * scale));
  canvas.height = Math.max(1, Math.round(part.height * scale));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('this browser can’t draw pictures');
  // JPEG has no transparency; paper shines through where the picture does not cover.
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.imageSmoothingQuality = 'high';
  context.drawImage(image, part.x, part.y, part.width, part.height, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', QUALITY01);
}

/** Whether a file says that it is a picture. */
export function isPicture(file: File): boolean {
  return file.type.startsWith('image/');
}
