// Lays the files of the reader of pictures beside the application: its worker, its programs and the data of the languages,
// all from packages, so that nothing is fetched from elsewhere.
import { copyFileSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { ROOT } from './setup.mjs';

const LANGUAGES = ['eng', 'deu', 'fra', 'spa', 'ita', 'pol'];
const CORES = ['tesseract-core-relaxedsimd-lstm', 'tesseract-core-simd-lstm', 'tesseract-core-lstm'];

/** Copies them into the folder that the pages look in. @param out - where the application was built */
export function layPictureReader(out) {
  const modules = join(ROOT, 'node_modules');
  const { version } = JSON.parse(readFileSync(join(modules, 'tesseract.js', 'package.json'), 'utf8'));
  const folder = join(out, 'reader', version);
  mkdirSync(folder, { recursive: true });
  copyFileSync(join(modules, 'tesseract.js', 'dist', 'worker.min.js'), join(folder, 'worker.min.js'));
  for (const core of CORES)
    copyFileSync(join(modules, 'tesseract.js-core', `${core}.wasm.js`), join(folder, `${core}.wasm.js`));
  for (const language of LANGUAGES) {
    const file = `${language}.traineddata.gz`;
    // The data that is quick to come and to read by, and as sure as the large one.
    copyFileSync(join(modules, '@tesseract.js-data', language, '4.0.0_best_int', file), join(folder, file));
  }
}
