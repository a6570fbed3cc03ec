// What every command needs before it can run. Plain JavaScript: it runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';

import { ROOT } from './root.mjs';
import { withLock } from './withLock.mjs';

export { ROOT };

/** Ends the command with a sentence that says what to do. */
export function fail(sentence) {
  console.error(`\n${sentence}`);
  process.exit(1);
}

/** Runs a program in the project's folder and gives its exit status; its output is the command's own. */
export function run(program, args, env = {}) {
  const result = spawnSync(program, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  return result.status ?? 1;
}

/** Runs a program that npm installed. */
export function runBin(name, args, env = {}) {
  return run(process.execPath, [binPath(name), ...args], env);
}

/** The script behind a program that npm installed, so that no shell is needed to start it. */
export function binPath(name) {
  const places = {
    eslint: 'eslint/bin/eslint.js',
    tsc: 'typescript/bin/tsc',
    jest: 'jest/bin/jest.js',
    playwright: '@playwright/test/cli.js',
    expo: 'expo/bin/cli',
    prettier: 'prettier/bin/prettier.cjs',
  };
  return join(ROOT, 'node_modules', places[name]);
}

/**
 * Installs the packages of the lock file where they are missing or others. Of two commands started at once one waits.
 *
 * @param isToRun - the application is to be started, and nothing else: what only developing takes may be missing
 */
export async function ensureInstalled({ isToRun = false } = {}) {
  const [major = 0] = process.versions.node.split('.').map(Number);
  if (major < 20) fail(`Cordialis needs Node.js 20 or newer; this is ${process.version}.`);
  if (isInstalled(isToRun)) return;
  await withLock('install', () => {
    if (!isInstalled(isToRun)) install();
  });
}

/** What was installed is written beside it: a moved or copied project brings it along. */
const INSTALLED = join(ROOT, 'node_modules', '.cordialis-lock');
/** What npm itself has written of it. */
const BY_NPM = join(ROOT, 'node_modules', '.package-lock.json');

function isInstalled(isToRun) {
  if (existsSync(INSTALLED) && readFileSync(INSTALLED, 'utf8') === hashLock()) return true;
  return isToRun && hasAllToRun();
}

/** Whether somebody has installed what running takes (npm ci --omit=dev), in the versions of the lock file. */
function hasAllToRun() {
  if (!existsSync(BY_NPM)) return false;
  const packagesOf = (file) => JSON.parse(readFileSync(file, 'utf8')).packages;
  const there = packagesOf(BY_NPM);
  return Object.entries(packagesOf(join(ROOT, 'package-lock.json'))).every(
    ([path, { version, dev, optional, peer, devOptional }]) =>
      path === '' || dev || optional || peer || devOptional || there[path]?.version === version,
  );
}

function hashLock() {
  return hashFiles([join(ROOT, 'package-lock.json')]);
}

function install() {
  // On stderr, as a command's own answer goes to stdout.
  console.error('Installing packages …');
  const npm = process.env.npm_execpath;
  const args = ['ci', '--no-audit', '--no-fund'];
  const [program, ...first] = npm ? [process.execPath, npm] : ['npm'];
  const { status } = spawnSync(program, [...first, ...args], { cwd: ROOT, stdio: ['ignore', 2, 2] });
  if (status !== 0)
    fail('npm ci failed. Check the connection to the npm registry and run the command again.');
  mkdirSync(dirname(INSTALLED), { recursive: true });
  writeFileSync(INSTALLED, hashLock());
}

/** SHA-256 over the contents of files and their paths within the project. */
export function hashFiles(files) {
  const hash = createHash('sha256');
  for (const file of files)
    hash.update(relative(ROOT, file)).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}
