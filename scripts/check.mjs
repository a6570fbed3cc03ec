// npm run check: types, lint and unit tests of what has changed since the last commit, in less than a minute.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

import readers from './checks/readSources.cjs';
import { ensurePrograms } from './programs.mjs';
import { binPath, ensureInstalled, ROOT } from './setup.mjs';

/** Tests that take long on their own and are for npm test: many histories, the linter's own rules. */
const LONG = /^test\/unit\/(convergence\/|lint\.test)/;

await ensureInstalled();
const imports = (await import('./checks/imports.cjs')).default;
const changed = changedFiles();
console.log(
  changed.length === 0
    ? 'Nothing has changed since the last commit.'
    : `${changed.length} changed since the last commit.`,
);
const sources = changed.filter((file) => /\.(tsx?|mjs|cjs|js)$/.test(file) && existsSync(join(ROOT, file)));
const tests = testsOf(changed);

const results = await Promise.all([
  inTurn(
    ['Imports', join(ROOT, 'scripts/checkImports.mjs')],
    [
      'Types',
      binPath('tsc'),
      '-p',
      '.',
      '--incremental',
      '--tsBuildInfoFile',
      'node_modules/.cache/types.json',
    ],
  ),
  inTurn(
    ...(sources.length > 0 ? [['Lint', binPath('eslint'), '--quiet', '--no-warn-ignored', ...sources]] : []),
    ...(sources.length > 0
      ? [['Layout', binPath('prettier'), '--check', '--log-level', 'warn', ...sources]]
      : []),
  ),
]);
if (tests.length > 0) {
  await ensurePrograms();
  results.push(
    await run(
      `Unit tests (${tests.length} files)`,
      binPath('jest'),
      '--maxWorkers=2',
      '--silent',
      '--runTestsByPath',
      ...tests,
    ),
  );
}
process.exit(results.flat().every((isGood) => isGood) ? 0 : 1);

function changedFiles() {
  const git = (...args) =>
    spawnSync('git', args, { cwd: ROOT, encoding: 'utf8' }).stdout.split('\n').filter(Boolean);
  return [
    ...new Set([...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')]),
  ];
}

/** The tests that are among some files, or import them, over however many files in between. */
function testsOf(some) {
  return imports
    .dependentsOf(readers.readSources(['src', 'test']), some)
    .filter((file) => /\.test\.tsx?$/.test(file) && !LONG.test(file))
    .sort();
}

async function inTurn(...steps) {
  const results = [];
  for (const one of steps) results.push(await run(...one));
  return results;
}

async function run(name, file, ...args) {
  const began = Date.now();
  const child = spawn(process.execPath, [file, ...args], { cwd: ROOT, stdio: 'inherit' });
  const status = await new Promise((resolve) => child.on('exit', resolve));
  console.log(
    `— ${name}: ${status === 0 ? 'good' : 'FAILED'} (${Math.round((Date.now() - began) / 1000)} s)`,
  );
  return status === 0;
}
