import { expose } from 'comlink';
import { createWorker, type Worker as Reader } from 'tesseract.js';
import { version } from 'tesseract.js/package.json';

import {
  countryOfCard,
  faultOf,
  greyOf,
  type GreyPicture,
  isSureReading,
  mendReadText,
  type PictureFault,
  type PictureLanguage,
  type PictureReading,
  readyToRead,
  toGreymap,
  turned,
  worthOf,
} from '@/core/extract/picture';

/** What a picture is read by. */
export interface PictureWish {
  /** That of the card; English is read beside it. */
  readonly language: PictureLanguage;
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
}

/** What a picture says; '' with a fault where it can't be read. */
export interface PictureText {
  readonly text: string;
  readonly fault: PictureFault | 'nothing' | undefined;
  /** By how many degrees clockwise it was turned to be read: 0, 90, 180 or 270. */
  readonly turn: number;
}

/** Tells how far the reading is, 0 to 1; `isLoading` while the reader's files come. */
export type PictureProgress = (share01: number, isLoading: boolean) => void;

/** What the page may ask of the reader of pictures. */
export interface PictureApi {
  read(file: Blob, wish: PictureWish, onProgress: PictureProgress): Promise<PictureText>;
}

/** Where the build lays the reader's files. */
const FILES_AT = `/reader/${version}`;
/** More pixels a side than this only take memory; a phone's camera gives more. */
const MAX_SIDE = 3000;
/** Quarter turns that are tried where the picture as it is can't be read surely. */
const TURNS = [90, 270, 180];
/** Less sure than this, what was read is no text. */
const LEAST_WORTH = 35;
/** The part of the whole that the files take to come. */
const LOADING01 = 0.3;

const api: PictureApi = {
  read: async (file, { language, country }, onProgress) => {
    onProgress(0, true);
    const picture = await openPicture(file);
    let reading = 0;
    const reader = await createWorker(
      language === 'eng' ? ['eng'] : [language, 'eng'],
      1,
      {
        workerPath: `${FILES_AT}/worker.min.js`,
        corePath: FILES_AT,
        langPath: FILES_AT,
        // The service worker keeps them; a second copy would only take room.
        cacheMethod: 'none',
        workerBlobURL: false,
        logger: ({ status, progress }) => {
          if (status === 'recognizing text')
            onProgress(LOADING01 + ((1 - LOADING01) * (reading + progress)) / (reading + 1.5), false);
          else if (status === 'loading language traineddata') onProgress(LOADING01 * progress, true);
        },
      },
      // What the reader would say of data that it can do without.
      { debug_file: '/dev/null' } as object,
    );
    try {
      const best = await readFromAllSides(reader, picture, () => (reading += 1));
      if (worthOf(best) < LEAST_WORTH) return { text: '', fault: faultOf(picture) ?? 'nothing', turn: 0 };
      return {
        text: mendReadText(best.text, { country: countryOfCard(language, country) }),
        fault: undefined,
        turn: best.turn,
      };
    } finally {
      await reader.terminate();
    }
  },
};

expose(api);

/** The surest reading: as the picture is, and turned where that is none. */
async function readFromAllSides(
  reader: Reader,
  picture: GreyPicture,
  onNext: () => void,
): Promise<PictureReading & { turn: number }> {
  let best = { ...(await readOnce(reader, picture)), turn: 0 };
  for (const turn of TURNS) {
    if (isSureReading(best)) break;
    onNext();
    const other = await readOnce(reader, turned(picture, turn));
    if (worthOf(other) > worthOf(best)) best = { ...other, turn };
  }
  return best;
}

async function readOnce(reader: Reader, picture: GreyPicture): Promise<PictureReading> {
  const { data } = await reader.recognize(toGreymap(readyToRead(picture)) as unknown as Blob);
  return { text: data.text, confidence: data.confidence };
}

/** The picture in grey, the way up that its file says. @throws Error for what is no picture */
async function openPicture(file: Blob): Promise<GreyPicture> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('this is no picture that can be shown here');
  });
  const scale = Math.min(1, MAX_SIDE / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(Math.max(1, width), Math.max(1, height));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('this browser can’t draw pictures');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return greyOf(canvas.width, canvas.height, context.getImageData(0, 0, canvas.width, canvas.height).data);
}
