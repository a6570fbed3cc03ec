// What every command needs before it can run. Plain JavaScript: it runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

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
  return run(process.execPath, [...(name === 'tsx' ? ['--no-warnings'] : []), binPath(name), ...args], env);
}

/** The script behind a program that npm installed, so that no shell is needed to start it. */
export function binPath(name) {
  const places = {
    tsx: 'tsx/dist/cli.mjs',
    eslint: 'eslint/bin/eslint.js',
    tsc: 'typescript/bin/tsc',
    jest: 'jest/bin/jest.js',
    playwright: '@playwright/test/cli.js',
    expo: 'expo/bin/cli',
    prettier: 'prettier/bin/prettier.cjs',
  };
  return join(ROOT, 'node_modules', places[name]);
}

/** Installs the packages of the lock file where they are missing or others. */
export function ensureInstalled() {
  const [major = 0] = process.versions.node.split('.').map(Number);
  if (major < 20) fail(`Cordialis needs Node.js 20 or newer; this is ${process.version}.`);
  const stamp = join(ROOT, 'node_modules', '.cordialis-lock');
  const lock = hashFiles([join(ROOT, 'package-lock.json')]);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages …');
  const npm = process.env.npm_execpath;
  const status = npm
    ? run(process.execPath, [npm, 'ci', '--no-audit', '--no-fund'])
    : run('npm', ['ci', '--no-audit', '--no-fund']);
  if (status !== 0)
    fail('npm ci failed. Check the connection to the npm registry and run the command again.');
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, lock);
}

/** SHA-256 over the contents of files. */
export function hashFiles(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}
