// npm run screenshots: the pictures in docs/screenshots, taken anew from the demo at a phone's size and a wide one.
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { ensureChromium } from './chromium.mjs';
import { startHub } from './serve.mjs';
import { ensureInstalled, ROOT } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

await ensureInstalled();
const executablePath = ensureChromium();
await ensureWebBuild();
const { chromium } = await import('@playwright/test');

const PORT = '4886';
const HUB = `http://127.0.0.1:${PORT}`;
const OUT = join(ROOT, 'docs', 'screenshots');
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };
const CARD = '/book/c0a0d1a1-0000-4000-8a00-000000000000';
const SIGNATURE = `Kind regards,

Rosario Ames (she/her)
Head of Programming
Wexmere Chamber Music Festival
12 Harbour Street
Wexmere WX1 2AB
T: +44 20 7946 0123
rosario.ames@wexmere-festival.example`;

mkdirSync(OUT, { recursive: true });
const data = mkdtempSync(join(tmpdir(), 'cordialis-pictures-'));
const hub = await startHub(['--demo'], { env: { PORT, CORDIALIS_DATA: data }, stdio: 'ignore' });
const browser = await chromium.launch({
  executablePath,
  args: JSON.parse(readFileSync(join(ROOT, 'scripts', 'chromiumArgs.json'), 'utf8')),
});
try {
  for (let i = 0; i < 100; i += 1) {
    if (
      await fetch(`${HUB}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  for (const size of Object.keys(SIZES)) {
    await shoot(size, 'light', `book-${size}`, '/book');
    await shoot(size, 'light', `card-${size}`, CARD);
  }
  await shoot('phone', 'light', 'editing-phone', `${CARD}/edit`);
  await shoot('phone', 'light', 'today-phone', '/today', closeHint);
  await shoot('wide', 'light', 'today-wide', '/today', async (page) => {
    await page.getByTestId('card-pane').waitFor();
    await closeHint(page);
  });
  await shoot('phone', 'light', 'after-talk-phone', CARD, async (page) => {
    await page.getByTestId('note-talk').click();
    await page
      .getByTestId('talk-said')
      .fill('The octet opens. Ring again in ten days about the fee. #contract');
  });
  await shoot('wide', 'light', 'table-wide', '/book/table', async (page) => {
    await page.getByTestId('head-town').click();
    await page.locator('#cell-2-3').click();
    await page.locator('#cell-5-4').click({ modifiers: ['Shift'] });
  });
  await shoot('wide', 'light', 'map-wide', '/book/map', async (page) => {
    await page.getByTestId('map-near').fill('Gdańsk');
    await page.getByTestId('map-km').fill('400');
    await page.getByTestId('map-people').waitFor();
  });
  await shoot('phone', 'dark', 'card-dark-phone', CARD);
  await shoot('phone', 'light', 'quick-phone', '/book', async (page) => {
    await page.getByTestId('quick-line').fill('ada lowther 07700 900123 #choir on patr');
    await page.getByRole('option', { name: /^Add to/ }).waitFor();
  });
  await shoot('phone', 'light', 'lists-phone', '/lists');
  await shootBeside('tidy-phone', [
    ['/tidy'],
    ['/tidy', (page) => showPart(page.getByTestId('grade-Likely'))],
    ['/tidy', (page) => showPart(page.getByTestId('faults'))],
    ['/tidy', (page) => showPart(page.getByTestId('unfiled-row').first())],
  ]);
  for (const size of Object.keys(SIZES))
    await shoot(size, 'light', `compare-${size}`, '/tidy', async (page) => {
      await page.getByTestId('grade-Likely').getByTestId('compare').first().click();
      await page.getByTestId('merge-preview').waitFor();
    });
  await shootBeside('devices-phone', [
    ['/devices', (page) => page.getByTestId('in-step').waitFor()],
    ['/devices/settle'],
    ['/devices/Phone'],
    ['/devices/try/phone'],
    ['/devices/try/mail', (page) => showPart(page.getByTestId('mailbox'))],
  ]);
  await shootBeside('write-phone', [
    ['/devices', (page) => page.getByTestId('in-step').waitFor(), 'unseen'],
    ['/lists', writeToPatrons],
    ['/write', previewTemplate],
    ['/write?by=letter', (page) => showPart(page.getByTestId('sheet-picture'))],
    ['/directory', fillDirectory],
  ]);
  await shoot('phone', 'light', 'extract-phone', '/import/text', async (page) => {
    await page.getByTestId('extract-text').fill(SIGNATURE);
    await page.getByTestId('marked-text').evaluate((part) => part.scrollIntoView());
  });
} finally {
  await browser.close();
  hub.kill();
  rmSync(data, { recursive: true, force: true });
}

async function writeToPatrons(page) {
  await page.getByRole('link', { name: /^Patrons/ }).click();
  await page.getByTestId('write-list').click();
  await page.getByTestId('place-to').waitFor();
}

async function previewTemplate(page) {
  await page.getByTestId('open-templates').click();
  await page
    .getByRole('button', { name: /^Begin with/ })
    .first()
    .click();
  const each = page.getByTestId('mail-each');
  if ((await each.getAttribute('aria-checked')) !== 'true') await each.click();
  await showPart(page.getByTestId('mail-preview'));
}

/** What is said on first opening the demo. */
async function closeHint(page) {
  await page.getByTestId('demo-hint').getByRole('button').click();
}

/** The demo's directory, with its people. */
async function fillDirectory(page) {
  await page.getByRole('button', { name: /^Enter as Rosario/ }).click();
  await page.getByTestId('entries').getByRole('link').nth(3).waitFor();
}

/** Scrolls to a part of a page. */
async function showPart(part) {
  await part.waitFor();
  await part.evaluate((element) => element.scrollIntoView());
}

/** Several screens of a phone beside each other, of one browser; each an address, what is done there, and whether it is left out. */
async function shootBeside(name, screens) {
  const context = await browser.newContext({
    viewport: SIZES.phone,
    locale: 'en-GB',
    hasTouch: true,
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  const pictures = [];
  for (const [path, act = async () => undefined, unseen] of screens) {
    await page.goto(HUB + path);
    await page.waitForFunction(() => document.documentElement.dataset.book === 'read');
    await act(page);
    await page.waitForTimeout(1800);
    if (unseen) continue;
    pictures.push((await page.screenshot()).toString('base64'));
  }
  const { width, height } = SIZES.phone;
  await page.goto('about:blank');
  await page.setViewportSize({ width: pictures.length * (width + 12) - 12, height });
  const images = pictures.map((picture) => `<img width="${width}" src="data:image/png;base64,${picture}">`);
  await page.setContent(
    `<body style="margin:0;display:flex;gap:12px;background:#ddd4c2">${images.join('')}</body>`,
  );
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(OUT, `${name}.png`) });
  await context.close();
  console.log(`docs/screenshots/${name}.png`);
}

async function shoot(size, colorScheme, name, path, act = async () => undefined) {
  const context = await browser.newContext({
    viewport: SIZES[size],
    colorScheme,
    locale: 'en-GB',
    hasTouch: size === 'phone',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(HUB + path);
  await page.waitForFunction(() => document.documentElement.dataset.book === 'read');
  await act(page);
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(OUT, `${name}.png`) });
  await context.close();
  console.log(`docs/screenshots/${name}.png`);
}
