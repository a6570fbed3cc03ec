import { defineConfig } from '@playwright/test';

import chromiumArgs from './scripts/chromiumArgs.json';
import { DEMO_STATE } from './test/e2e/fixtures';

/** Ports of the two hubs that the tests run against: the demo's and one for an empty book. */
const DEMO_PORT = 4881;
const OWN_PORT = 4882;

const hub = (port: number, args: string) => ({
  command: `node dist/programs/hub/main.mjs ${args}`,
  url: `http://127.0.0.1:${port}/api/health`,
  env: { PORT: String(port), CORDIALIS_DATA: `test-results/data-${port}` },
  reuseExistingServer: false,
});

// Debian's Chromium runs as root in a container only without its sandbox; the rest keeps it from calling out.
// Its own pages under the address line took a third of the time of each test; the features after them are those that
// Playwright turns off, as only the last list counts.
const chromium = {
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: chromiumArgs,
};

export default defineConfig({
  testDir: 'test/e2e',
  // Some walk through a dozen screens; a machine whose two cores are taken by others may stand still for minutes.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  fullyParallel: true,
  workers: 2,
  // A machine that is busy with something else is no fault of the application; such a test is named all the same.
  retries: process.env['CI'] ? 1 : 0,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  // A trace of each action makes a test a third slower, so it is written only where one failed before.
  globalSetup: './test/e2e/saveDemo.ts',
  use: {
    storageState: DEMO_STATE,
    launchOptions: chromium,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    trace: 'on-first-retry',
  },
  projects: [
    {
      name: 'phone',
      grepInvert: /@wide-only/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
    },
    { name: 'wide', grepInvert: /@one-size/, use: { viewport: { width: 1280, height: 800 } } },
  ],
  webServer: [hub(DEMO_PORT, '--demo'), hub(OWN_PORT, '')],
  metadata: { demoUrl: `http://127.0.0.1:${DEMO_PORT}`, ownUrl: `http://127.0.0.1:${OWN_PORT}` },
});
