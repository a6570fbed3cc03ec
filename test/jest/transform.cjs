const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { extname } = require('node:path');

const { transformSync, version } = require('esbuild');

const KEY = createHash('sha256').update(readFileSync(__filename)).update(version).digest('hex');

/**
 * Turns TypeScript into CommonJS by esbuild, which takes a tenth of Babel's time. Types are checked by tsc.
 *
 * An index of a domain loads a file only when a name from it is read: a test of one function would otherwise load its
 * whole domain. Tests that replace modules go through Babel, which lifts jest.mock above the imports.
 */
module.exports = {
  createTransformer({ babel } = {}) {
    const viaBabel = require('babel-jest').createTransformer(babel);
    return {
      process(source, path, options) {
        if (source.includes('jest.mock(')) return viaBabel.process(source, path, options);
        const { code } = transformSync(source, {
          loader: { '.ts': 'ts', '.tsx': 'tsx' }[extname(path)] ?? 'jsx',
          format: 'cjs',
          target: 'node20',
          sourcefile: path,
          sourcemap: 'inline',
          jsx: 'automatic',
          jsxImportSource: 'nativewind',
          supported: { 'dynamic-import': false },
          logLevel: 'error',
        });
        return { code: /[\\/]src[\\/].*[\\/]index\.ts$/.test(path) ? loadWhenRead(code) : readNames(code) };
      },
      getCacheKey(source, path, { configString }) {
        return createHash('sha256')
          .update(KEY)
          .update(path)
          .update(configString)
          .update(source)
          .digest('hex');
      },
    };
  },
};

/** Re-exports by esbuild read `name: () => import_file.name`; the file is then required there, once, and not before. */
function loadWhenRead(code) {
  const files = new Map();
  const rest = code.replace(/^var (import_\w+) = require\(("[^"]+")\);$/gm, (_, name, path) => {
    files.set(name, path);
    return '';
  });
  const read = rest.replace(/\b(import_\w+)\./g, (all, name) => {
    const path = files.get(name);
    return path === undefined ? all : `(loaded[${path}] ??= require(${path})).`;
  });
  // In front of all else, on a line that is there already: the lines of the source map stay right.
  return `var loaded = {}; ${read}`;
}

/** An import of a domain's index by name. */
const FROM_INDEX = /^var (import_\w+) = require\("@\/(?:core|book|hub|places)\/\w+"\);$/gm;

/**
 * Reads the names that a file uses of an index while the file is loaded: what goes on after a test has ended, such as a
 * timer, could load nothing any more.
 */
function readNames(code) {
  return code.replace(FROM_INDEX, (line, name) => {
    const used = new Set([...code.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))].map(([, one]) => one));
    return used.size === 0 ? line : `${line} ${[...used].map((one) => `${name}.${one}`).join(', ')};`;
  });
}
