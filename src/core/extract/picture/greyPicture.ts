/** A picture in shades of grey, row by row; 0 is black, 255 white. */
export interface GreyPicture {
  readonly width: number;
  readonly height: number;
  /** width × height values. */
  readonly pixels: Uint8ClampedArray;
}

/** The picture in grey, by ITU-R BT.601. @param rgba - four values a pixel; what is clear counts as white */
export function greyOf(width: number, height: number, rgba: ArrayLike<number>): GreyPicture {
  const pixels = new Uint8ClampedArray(width * height);
  for (let i = 0; i < pixels.length; i += 1) {
    const at = i * 4;
    const light = 0.299 * (rgba[at] ?? 0) + 0.587 * (rgba[at + 1] ?? 0) + 0.114 * (rgba[at + 2] ?? 0);
    const cover = (rgba[at + 3] ?? 255) / 255;
    pixels[i] = light * cover + 255 * (1 - cover);
  }
  return { width, height, pixels };
}

/** A picture whose sides are multiplied; each pixel is the mean of those it covers where it becomes smaller. */
export function scaled(picture: GreyPicture, factor: number): GreyPicture {
  const width = Math.max(1, Math.round(picture.width * factor));
  const height = Math.max(1, Math.round(picture.height * factor));
  if (factor >= 1)
    return sampled(picture, width, height, {
      x: 0,
      y: 0,
      rightX: 1 / factor,
      rightY: 0,
      downX: 0,
      downY: 1 / factor,
    });
  const pixels = new Uint8ClampedArray(width * height);
  for (let y = 0; y < height; y += 1) {
    const top = Math.floor((y * picture.height) / height);
    const bottom = Math.max(top + 1, Math.floor(((y + 1) * picture.height) / height));
    for (let x = 0; x < width; x += 1) {
      const left = Math.floor((x * picture.width) / width);
      const right = Math.max(left + 1, Math.floor(((x + 1) * picture.width) / width));
      let sum = 0;
      for (let row = top; row < bottom; row += 1)
        for (let column = left; column < right; column += 1)
          sum += picture.pixels[row * picture.width + column] ?? 0;
      pixels[y * width + x] = sum / ((bottom - top) * (right - left));
    }
  }
  return { width, height, pixels };
}

/** A picture turned clockwise about its middle, as large as it then needs; the corners are as light as the paper. */
export function turned(picture: GreyPicture, degrees: number): GreyPicture {
  const angle = (degrees * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const width = Math.round(Math.abs(picture.width * cos) + Math.abs(picture.height * sin));
  const height = Math.round(Math.abs(picture.width * sin) + Math.abs(picture.height * cos));
  const middleX = (picture.width - 1) / 2;
  const middleY = (picture.height - 1) / 2;
  const newX = (width - 1) / 2;
  const newY = (height - 1) / 2;
  return sampled(picture, width, height, {
    x: middleX - newX * cos - newY * sin,
    y: middleY + newX * sin - newY * cos,
    ...{ rightX: cos, rightY: -sin, downX: sin, downY: cos },
  });
}

/** Where in another picture the first pixel is read, and how far on with each one to the right and down. */
interface Steps {
  readonly x: number;
  readonly y: number;
  readonly rightX: number;
  readonly rightY: number;
  readonly downX: number;
  readonly downY: number;
}

/**
 * A picture of which each pixel is read between four of another; outside of it, as light as the paper is. Without pairs
 * and calls: there are millions of pixels.
 */
function sampled(
  { width, height, pixels }: GreyPicture,
  newWidth: number,
  newHeight: number,
  steps: Steps,
): GreyPicture {
  const paper = quantile({ width, height, pixels }, 0.8);
  const made = new Uint8ClampedArray(newWidth * newHeight).fill(paper);
  for (let y = 0; y < newHeight; y += 1) {
    let fromX = steps.x + y * steps.downX;
    let fromY = steps.y + y * steps.downY;
    for (let x = 0; x < newWidth; x += 1) {
      // What lies on the last pixel but for rounding is still inside.
      const left = Math.min(width - 1, Math.floor(fromX + 1e-6));
      const top = Math.min(height - 1, Math.floor(fromY + 1e-6));
      if (left >= 0 && top >= 0 && fromX < width && fromY < height) {
        const partX = fromX - left;
        const partY = fromY - top;
        const at = top * width + left;
        const right = left + 1 < width ? at + 1 : at;
        const down = top + 1 < height ? width : 0;
        const above = (pixels[at] ?? 0) * (1 - partX) + (pixels[right] ?? 0) * partX;
        const below = (pixels[at + down] ?? 0) * (1 - partX) + (pixels[right + down] ?? 0) * partX;
        made[y * newWidth + x] = above * (1 - partY) + below * partY;
      }
      fromX += steps.rightX;
      fromY += steps.rightY;
    }
  }
  return { width: newWidth, height: newHeight, pixels: made };
}

/** The shade below which a part of the pixels lie. @param part01 - 0 for the darkest, 1 for the lightest */
export function quantile({ pixels }: GreyPicture, part01: number): number {
  const counts = new Uint32Array(256);
  for (const shade of pixels) counts[shade] = (counts[shade] ?? 0) + 1;
  let rest = part01 * pixels.length;
  for (let shade = 0; shade < 256; shade += 1) {
    rest -= counts[shade] ?? 0;
    if (rest < 0) return shade;
  }
  return 255;
}

/** The picture as a file that image libraries read: a portable greymap, P5 (Netpbm). */
export function toGreymap({ width, height, pixels }: GreyPicture): Uint8Array {
  const head = Uint8Array.from(`P5\n${width} ${height}\n255\n`, (sign) => sign.charCodeAt(0));
  const bytes = new Uint8Array(head.length + pixels.length);
  bytes.set(head);
  bytes.set(pixels, head.length);
  return bytes;
}
