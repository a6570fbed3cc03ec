import { proxy } from 'comlink';

import type { PictureApi, PictureProgress, PictureText, PictureWish } from '@/book/workers';

import { type Job, runJob } from './runJob';

/** Reads the words of a picture, in a worker that ends with it; nothing of the picture leaves the browser. */
export function readPictureInWorker(
  file: Blob,
  wish: PictureWish,
  onProgress: PictureProgress,
): Job<PictureText> {
  return runJob<PictureApi, PictureText>(
    () => new Worker(new URL('../workers/picture', import.meta.url)),
    (api) => api.read(file, wish, proxy(onProgress)),
  );
}
