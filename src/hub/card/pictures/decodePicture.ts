import sharp, { type Sharp } from 'sharp';

/** The most pixels decoded: a small file may claim to hold far more than fits into memory. Checked before any is. */
const MAX_PIXELS = 50_000_000;
/** How long one picture may take, in seconds. */
const MAX_S = 10;
/** Pictures worked on at once, each on a thread beside the one that answers. */
const AT_ONCE = 2;

// One thread a picture, and nothing kept of it: the hub is small.
sharp.concurrency(1);
sharp.cache(false);

let free = AT_ONCE;
const waiting: (() => void)[] = [];

/**
 * Works on a picture beside everything else.
 *
 * @returns undefined where it is damaged, too large or takes too long
 */
export async function withPicture<T>(
  octets: Buffer,
  work: (picture: Sharp) => Promise<T>,
): Promise<T | undefined> {
  if (free === 0) await new Promise<void>((go) => waiting.push(go));
  else free -= 1;
  try {
    return await work(
      sharp(octets, { limitInputPixels: MAX_PIXELS, failOn: 'error' }).timeout({ seconds: MAX_S }),
    );
  } catch {
    return undefined;
  } finally {
    const next = waiting.shift();
    if (next) next();
    else free += 1;
  }
}
