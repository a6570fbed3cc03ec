// Builds the application for the web where what it is made of has changed since the last build.
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join, relative } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';

import { hintEagerModules } from './eagerPieces.mjs';
import { layPictureReader } from './pictureReader.mjs';
import { preloadPieces } from './preload.mjs';
import { fail, hashFiles, ROOT, runBin } from './setup.mjs';
import { withLock } from './withLock.mjs';

const OUT = join(ROOT, 'dist', 'web');
const STAMP = join(ROOT, 'dist', 'web.hash');
const MADE_OF = ['src', 'public', 'scripts/babel', 'scripts/metro', 'scripts/page'];
const CONFIGS = [
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'tailwind.config.js',
  'package-lock.json',
  'scripts/eagerPieces.mjs',
  'scripts/pictureReader.mjs',
  'scripts/preload.mjs',
  'tsconfig.json',
];

/** Builds into dist/web unless that is up to date; of two commands started at once one waits for the other. */
export async function ensureWebBuild() {
  if (isFresh()) return;
  await withLock('web', async () => {
    if (!isFresh()) await build();
  });
}

function isFresh() {
  return (
    existsSync(join(OUT, 'index.html')) && existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hashSources()
  );
}

function hashSources() {
  return hashFiles([
    ...CONFIGS.map((file) => join(ROOT, file)),
    ...MADE_OF.flatMap((folder) => filesOf(join(ROOT, folder))),
  ]);
}

async function build() {
  console.error('Building the application (about a minute) …');
  rmSync(OUT, { recursive: true, force: true });
  const status = runBin(
    'expo',
    ['export', '-p', 'web', '--output-dir', OUT, '--max-workers', String(availableParallelism())],
    {
      CI: '1',
      EXPO_NO_TELEMETRY: '1',
      EXPO_OFFLINE: '1',
      NODE_ENV: 'production',
    },
  );
  if (status !== 0) fail('The application could not be built; the lines above say why.');
  preloadPieces(OUT);
  hintEagerModules(OUT);
  nameFiles();
  layPictureReader(OUT);
  await compressBuild();
  writeFileSync(STAMP, hashSources());
}

/** Tells the service worker which files there are: all that carry a hash of their contents, and the icon. */
function nameFiles() {
  const files = filesOf(OUT)
    .map((file) => `/${relative(OUT, file).replaceAll('\\', '/')}`)
    .filter((file) => /^\/(_expo|assets)\/|^\/icon\./.test(file));
  const worker = join(OUT, 'offline.js');
  const text = readFileSync(worker, 'utf8');
  if (!text.includes('const FILES = [];')) fail('offline.js has no place for the names of the files.');
  writeFileSync(worker, text.replace('const FILES = [];', `const FILES = ${JSON.stringify(files)};`));
}

/** Lays a copy compressed by Brotli (RFC 7932) at its best beside each text, which costs seconds once and nothing when served. */
async function compressBuild() {
  const compress = promisify(brotliCompress);
  const texts = filesOf(OUT).filter((file) => /\.(js|css|svg|json|ttf)$/.test(file));
  // All at once: the work is done on threads, as many as there are processors.
  await Promise.all(
    texts.map(async (file) => {
      const bytes = readFileSync(file);
      const params = {
        [constants.BROTLI_PARAM_QUALITY]: 11,
        [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
      };
      writeFileSync(`${file}.br`, await compress(bytes, { params }));
    }),
  );
}

function filesOf(folder) {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && !/\.test\.tsx?$/.test(entry.name))
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
    .sort();
}
