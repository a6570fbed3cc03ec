import { cardAlone } from './cardAlone';
import { evenLight } from './evenLight';
import { type GreyPicture, scaled, turned } from './greyPicture';
import { skewOf } from './skewOf';

/** Pixels of the longer side at which letters of a card are read best, and more of which only take time. */
const READ_SIDE = 1800;
const LEAST_READ_SIDE = 1400;

/** A picture as it is read: without the table, of even light, straight, and as large as it helps. */
export function readyToRead(whole: GreyPicture): GreyPicture {
  const picture = cardAlone(whole);
  const side = Math.max(picture.width, picture.height);
  const factor = side > READ_SIDE ? READ_SIDE / side : side < LEAST_READ_SIDE ? LEAST_READ_SIDE / side : 1;
  const even = evenLight(factor === 1 ? picture : scaled(picture, factor));
  const skew = skewOf(even);
  return skew === 0 ? even : turned(even, -skew);
}

/** What reading a picture gave, and how sure it is. */
export interface PictureReading {
  readonly text: string;
  /** 0 to 100, as the reader has it. */
  readonly confidence: number;
}

/** Below this a picture may lie on its side or on its head. */
const SURE = 75;

/** How much a reading is worth: how sure it is, and whether there are words. */
export function worthOf({ text, confidence }: PictureReading): number {
  const words = text.match(/\p{L}{3,}/gu)?.length ?? 0;
  return words === 0 ? 0 : confidence * Math.min(1, words / 4);
}

/** Whether a reading needs no other one from another side. */
export function isSureReading(reading: PictureReading): boolean {
  return worthOf(reading) >= SURE;
}
