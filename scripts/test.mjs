// npm test: everything that is checked; closes with the count of all tests.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';

import { ensureChromium } from './chromium.mjs';
import { ensurePeers } from './debian.mjs';
import { startPostgres } from './postgres.mjs';
import { ensurePrograms } from './programs.mjs';
import { binPath, ensureInstalled, ROOT } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

const RESULTS = join(ROOT, 'test-results');
const UNIT = join(RESULTS, 'unit.json');
const BROWSER = join(RESULTS, 'e2e.json');
const started = Date.now();

await ensureInstalled();
const chromium = ensureChromium();
ensurePeers();
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

let failedSteps = 0;
// Two lanes, as each of these uses one processor.
await Promise.all([
  inTurn(['Lint', 'eslint', '.', '--quiet'], ['Layout', 'prettier', '--check', '--log-level', 'warn', '.']),
  inTurn(
    ['Imports', join(ROOT, 'scripts/checkImports.mjs')],
    ['Types', 'tsc', '-p', '.'],
    ['Types of the core alone', 'tsc', '-p', 'src/core'],
  ),
]);
await ensurePrograms();
const postgres = await startPostgres();
if (postgres) process.env.TEST_POSTGRES = postgres.address;
else console.log('PostgreSQL can’t be had here: what is tried on it as well is skipped.');
const workers = String(availableParallelism());
await step('Unit tests', 'jest', '--json', `--outputFile=${UNIT}`, '--maxWorkers', workers);
const unit = countUnit();
await postgres?.end();
const building = Date.now();
await ensureWebBuild();
say('Build', 'good', building);
// The browser's tests clear the folder of results when they begin, so the unit tests have been counted before.
process.env.CHROMIUM = chromium;
await step('Tests in the browser', 'playwright', 'test');
const browser = countBrowser();

const passed = unit.passed + browser.passed;
const failed = unit.failed + browser.failed + failedSteps;
console.log(
  `\nUnit tests: ${unit.passed} passed, ${unit.failed} failed. In the browser: ${browser.passed} passed, ${browser.failed} failed.`,
);
say('All', failed === 0 ? 'good' : 'FAILED', started);
console.log(`${passed} passed, ${failed} failed, ${unit.skipped} skipped`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

/** Runs steps one after the other; one that fails doesn't keep the next from being run. */
async function inTurn(...steps) {
  for (const one of steps) await step(...one);
}

/** Runs one step, a program that npm installed or a file; one that fails without a test that failed still counts as a failure. */
async function step(name, program, ...args) {
  const began = Date.now();
  console.log(`— ${name} …`);
  const file = program.endsWith('.mjs') ? program : binPath(program);
  const child = spawn(process.execPath, [file, ...args], { cwd: ROOT, stdio: 'inherit' });
  const status = await new Promise((resolve) => child.on('exit', resolve));
  if (status !== 0) failedSteps += 1;
  say(name, status === 0 ? 'good' : 'FAILED', began);
}

function say(name, how, since) {
  console.log(`— ${name}: ${how} (${Math.round((Date.now() - since) / 1000)} s)`);
}

function countUnit() {
  if (!existsSync(UNIT)) return { passed: 0, failed: 0, skipped: 0 };
  const { numPassedTests, numFailedTests, numPendingTests } = JSON.parse(readFileSync(UNIT, 'utf8'));
  return { passed: numPassedTests, failed: numFailedTests, skipped: numPendingTests };
}

function countBrowser() {
  if (!existsSync(BROWSER)) return { passed: 0, failed: 0 };
  const { stats } = JSON.parse(readFileSync(BROWSER, 'utf8'));
  if (stats.flaky > 0)
    console.log(`${stats.flaky} of the tests in the browser passed at the second try only.`);
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
}
