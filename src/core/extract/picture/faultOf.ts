import { type GreyPicture, quantile, scaled } from './greyPicture';

/** Why a picture can't be read well. */
export type PictureFault = 'small' | 'dark' | 'pale' | 'blurred';

/** Pixels of the longer side below which letters of a card are a few pixels high. */
const LEAST_SIDE = 350;
/** How far the lightest and the darkest must lie apart. */
const LEAST_DEPTH = 45;
const DARK = 70;
/** The steepest edges of a sharp picture, in shades from a pixel to the next. */
const LEAST_EDGE = 14;

/** What is wrong with a picture that was read badly; undefined where nothing can be told. */
export function faultOf(picture: GreyPicture): PictureFault | undefined {
  const side = Math.max(picture.width, picture.height);
  if (side < LEAST_SIDE) return 'small';
  const [dark, light] = [quantile(picture, 0.01), quantile(picture, 0.95)];
  if (light < DARK) return 'dark';
  if (light - dark < LEAST_DEPTH) return 'pale';
  return steepestEdge(scaled(picture, Math.min(1, 1200 / side))) < LEAST_EDGE ? 'blurred' : undefined;
}

/** The step from a pixel to the next that one in two hundred is beyond. */
function steepestEdge({ width, height, pixels }: GreyPicture): number {
  const counts = new Uint32Array(256);
  let all = 0;
  for (let y = 0; y < height; y += 1)
    for (let x = 1; x < width; x += 1) {
      const step = Math.abs((pixels[y * width + x] ?? 0) - (pixels[y * width + x - 1] ?? 0));
      counts[step] = (counts[step] ?? 0) + 1;
      all += 1;
    }
  let beyond = all / 200;
  for (let step = 255; step > 0; step -= 1) {
    beyond -= counts[step] ?? 0;
    if (beyond < 0) return step;
  }
  return 0;
}
