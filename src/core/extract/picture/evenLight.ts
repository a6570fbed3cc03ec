import { type GreyPicture, scaled } from './greyPicture';

/** Squares into which the longer side is parted to see how light the paper is in each. */
const SQUARES = 24;
/** Paper is made this light, and what is as dark as ink black. */
const PAPER = 245;

/**
 * A picture without shadows: each pixel by how light the paper around it is. Light letters on dark paper become dark ones
 * on light paper.
 */
export function evenLight(picture: GreyPicture): GreyPicture {
  const { width, height } = picture;
  const size = Math.ceil(Math.max(width, height) / SQUARES);
  const [columns, rows] = [Math.ceil(width / size), Math.ceil(height / size)];
  const isDark = isDarkPaper(picture);
  const pixels = isDark ? picture.pixels.map((shade) => 255 - shade) : picture.pixels;
  const paper = new Float32Array(columns * rows);
  const ink = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const shades: number[] = [];
      for (let y = row * size; y < Math.min(height, (row + 1) * size); y += 2)
        for (let x = column * size; x < Math.min(width, (column + 1) * size); x += 2)
          shades.push(pixels[y * width + x] ?? 0);
      shades.sort((a, b) => a - b);
      paper[row * columns + column] = shades[Math.floor(shades.length * 0.8)] ?? 255;
      ink[row * columns + column] = shades[Math.floor(shades.length * 0.02)] ?? 0;
    }
  const darkest = [...ink].sort((a, b) => a - b)[Math.floor(ink.length * 0.1)] ?? 0;
  const made = new Uint8ClampedArray(width * height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const light = between(paper, columns, rows, x / size - 0.5, y / size - 0.5);
      const depth = Math.max(40, light - darkest);
      made[y * width + x] = PAPER - ((light - (pixels[y * width + x] ?? 0)) * PAPER) / depth;
    }
  return { width, height, pixels: made };
}

/** Whether most of a picture is dark, and its letters are light. */
function isDarkPaper(picture: GreyPicture): boolean {
  const small = scaled(picture, Math.min(1, 200 / Math.max(picture.width, picture.height)));
  const mean = small.pixels.reduce((sum, shade) => sum + shade, 0) / small.pixels.length;
  // Letters are few: where they are lighter than the rest, the middle shade lies below the mean.
  const sorted = small.pixels.toSorted();
  return mean < 110 && (sorted[sorted.length >> 1] ?? 0) <= mean;
}

/** A value between those of four squares. */
function between(values: Float32Array, columns: number, rows: number, x: number, y: number): number {
  const left = Math.min(columns - 1, Math.max(0, Math.floor(x)));
  const top = Math.min(rows - 1, Math.max(0, Math.floor(y)));
  const right = Math.min(columns - 1, left + 1);
  const bottom = Math.min(rows - 1, top + 1);
  const partX = Math.min(1, Math.max(0, x - left));
  const partY = Math.min(1, Math.max(0, y - top));
  const above =
    (values[top * columns + left] ?? 0) * (1 - partX) + (values[top * columns + right] ?? 0) * partX;
  const below =
    (values[bottom * columns + left] ?? 0) * (1 - partX) + (values[bottom * columns + right] ?? 0) * partX;
  return above * (1 - partY) + below * partY;
}
