import { type GreyPicture, quantile, scaled } from './greyPicture';

/** Pixels of the longer side in which the card is looked for. */
const LOOK_SIDE = 240;
/** How much lighter or darker than the table the card is at least. */
const LEAST_STEP = 18;
/** The table is of one shade, more or less. */
const MAX_SPREAD = 70;
/** A card fills this part of the picture at least; beyond the other there is no table to be seen. */
const LEAST_PART01 = 0.12;
const MOST_PART01 = 0.93;

type Point = readonly [x: number, y: number];

/**
 * The card without the table that it lies on: cut to its bounds, what is outside of it as light as its paper. Gives the
 * picture as it is where no card of another shade than what is around it can be told.
 */
export function cardAlone(picture: GreyPicture): GreyPicture {
  const factor = Math.min(1, LOOK_SIDE / Math.max(picture.width, picture.height));
  const small = scaled(picture, factor);
  const edge = edgeOf(small);
  if (quantile(edge, 0.9) - quantile(edge, 0.1) > MAX_SPREAD) return picture;
  const table = quantile(edge, 0.5);
  const part = largestPart(small, (shade) => Math.abs(shade - table) > LEAST_STEP);
  const hull = hullOf(part);
  const area = areaOf(hull) / (small.width * small.height);
  // Scattered letters have a hull as well, but fill little of it.
  if (area < LEAST_PART01 || area > MOST_PART01 || part.length < area * small.width * small.height * 0.5)
    return picture;
  return cutTo(
    picture,
    hull.map(([x, y]) => [(x + 0.5) / factor, (y + 0.5) / factor] as const),
  );
}

/** The pixels at the rim. */
function edgeOf({ width, height, pixels }: GreyPicture): GreyPicture {
  const shades: number[] = [];
  for (let x = 0; x < width; x += 1) shades.push(pixels[x] ?? 0, pixels[(height - 1) * width + x] ?? 0);
  for (let y = 0; y < height; y += 1) shades.push(pixels[y * width] ?? 0, pixels[y * width + width - 1] ?? 0);
  return { width: shades.length, height: 1, pixels: Uint8ClampedArray.from(shades) };
}

/** The largest stretch of pixels that touch one another and are so. */
function largestPart({ width, height, pixels }: GreyPicture, isSo: (shade: number) => boolean): Point[] {
  const isSeen = new Uint8Array(width * height);
  let largest: number[] = [];
  for (let start = 0; start < isSeen.length; start += 1) {
    if (isSeen[start] === 1 || !isSo(pixels[start] ?? 0)) continue;
    const found = [start];
    isSeen[start] = 1;
    for (let i = 0; i < found.length; i += 1) {
      const at = found[i] ?? 0;
      const x = at % width;
      for (const next of [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width]) {
        if (next < 0 || next >= isSeen.length || isSeen[next] === 1 || !isSo(pixels[next] ?? 0)) continue;
        isSeen[next] = 1;
        found.push(next);
      }
    }
    if (found.length > largest.length) largest = found;
  }
  return largest.map((at) => [at % width, Math.floor(at / width)]);
}

/** The corners of the smallest shape without dents around points (Andrew's monotone chain, 1979), counter-clockwise. */
function hullOf(points: readonly Point[]): Point[] {
  const sorted = points.toSorted(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const half = (some: readonly Point[]) => {
    const chain: Point[] = [];
    for (const point of some) {
      while (chain.length > 1 && cross(chain.at(-2), chain.at(-1), point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

function cross(a: Point | undefined, b: Point | undefined, c: Point): number {
  return a && b ? (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) : 0;
}

function areaOf(hull: readonly Point[]): number {
  let twice = 0;
  for (const [i, [x, y]] of hull.entries()) {
    const next = hull[(i + 1) % hull.length];
    if (next) twice += x * next[1] - next[0] * y;
  }
  return Math.abs(twice) / 2;
}

function cutTo(picture: GreyPicture, hull: readonly Point[]): GreyPicture {
  const xs = hull.map(([x]) => x);
  const ys = hull.map(([, y]) => y);
  const [left, top] = [Math.max(0, Math.floor(Math.min(...xs))), Math.max(0, Math.floor(Math.min(...ys)))];
  const width = Math.min(picture.width, Math.ceil(Math.max(...xs))) - left;
  const height = Math.min(picture.height, Math.ceil(Math.max(...ys))) - top;
  const pixels = new Uint8ClampedArray(width * height);
  const inside: number[] = [];
  const spans = Array.from({ length: height }, (_, y) => spanAt(hull, y + top));
  // The rim of a card is a line of its own, which would be read.
  const rim = Math.max(2, Math.round(Math.max(width, height) * 0.012));
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 3)
      if (isWithin(spans, x + left, y, rim))
        inside.push(picture.pixels[(y + top) * picture.width + x + left] ?? 0);
  const paper = quantile({ width: inside.length, height: 1, pixels: Uint8ClampedArray.from(inside) }, 0.5);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      pixels[y * width + x] = isWithin(spans, x + left, y, rim)
        ? (picture.pixels[(y + top) * picture.width + x + left] ?? paper)
        : paper;
  return { width, height, pixels };
}

/** Whether a place lies inside by a rim's width, to the sides as well as up and down. */
function isWithin(spans: readonly Span[], x: number, y: number, rim: number): boolean {
  for (let shift = -rim; shift <= rim; shift += rim) {
    const span = spans[y + shift];
    if (!span || x < span.from + rim || x > span.to - rim) return false;
  }
  return true;
}

/** From where to where a row of pixels lies inside. */
interface Span {
  readonly from: number;
  readonly to: number;
}

/** From where to where a row of pixels lies inside. */
function spanAt(hull: readonly Point[], y: number): Span {
  let [from, to] = [Infinity, -Infinity];
  for (const [i, [ax, ay]] of hull.entries()) {
    const [bx, by] = hull[(i + 1) % hull.length] ?? [ax, ay];
    if (y < Math.min(ay, by) || y > Math.max(ay, by)) continue;
    const xs = ay === by ? [ax, bx] : [ax + ((bx - ax) * (y - ay)) / (by - ay)];
    from = Math.min(from, ...xs);
    to = Math.max(to, ...xs);
  }
  return { from, to };
}
