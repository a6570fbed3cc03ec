// npm test: lint, layout, types, unit tests, build, tests in the browser; closes with the count of all tests.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';

import { ensureChromium } from './chromium.mjs';
import { ensurePeers } from './debian.mjs';
import { ensureInstalled, ROOT, runBin } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

const RESULTS = join(ROOT, 'test-results');
const UNIT = join(RESULTS, 'unit.json');
const BROWSER = join(RESULTS, 'e2e.json');

ensureInstalled();
const chromium = ensureChromium();
ensurePeers();
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

let failedSteps = 0;
step('Lint', () => runBin('eslint', ['.', '--quiet']));
step('Layout', () => runBin('prettier', ['--check', '--log-level', 'warn', '.']));
step('Types', () => runBin('tsc', ['-p', '.']));
step('Types of the core alone', () => runBin('tsc', ['-p', 'src/core']));
step('Unit tests', () => runBin('jest', ['--json', `--outputFile=${UNIT}`]));
const unit = countUnit();
ensureWebBuild();
// The browser's tests clear the folder of results when they begin, so the unit tests have been counted before.
step('Tests in the browser', () => runBin('playwright', ['test'], { CHROMIUM: chromium }));
const browser = countBrowser();

const passed = unit.passed + browser.passed;
const failed = unit.failed + browser.failed + failedSteps;
console.log(
  `\nUnit tests: ${unit.passed} passed, ${unit.failed} failed. In the browser: ${browser.passed} passed, ${browser.failed} failed.`,
);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

/** Runs one step; one that fails without a test that failed still counts as a failure. */
function step(name, run) {
  const started = Date.now();
  console.log(`\n— ${name}`);
  const status = run();
  console.log(
    `— ${name}: ${status === 0 ? 'good' : 'FAILED'} (${Math.round((Date.now() - started) / 1000)} s)`,
  );
  if (status !== 0) failedSteps += 1;
}

function countUnit() {
  if (!existsSync(UNIT)) return { passed: 0, failed: 0 };
  const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(UNIT, 'utf8'));
  return { passed: numPassedTests, failed: numFailedTests };
}

function countBrowser() {
  if (!existsSync(BROWSER)) return { passed: 0, failed: 0 };
  const { stats } = JSON.parse(readFileSync(BROWSER, 'utf8'));
  if (stats.flaky > 0)
    console.log(`${stats.flaky} of the tests in the browser passed at the second try only.`);
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
}
