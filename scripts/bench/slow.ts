// How long each page takes to come on a processor six times slower, as a middling phone's is. Prints one JSON value.
import type { CDPSession, Page } from '@playwright/test';

import { fill, isRead, ORIGIN, watchPage, withBrowser } from './bookPage';

const SLOWER = 6;
const RUNS = 3;
const PAGES = [
  'today',
  'book',
  'book/CARD',
  'book/CARD/edit',
  'book/table',
  'book/map',
  'lists',
  'tidy',
  'devices',
  'settings',
  'write',
  'import',
  'today/year',
] as const;

interface Starts {
  /** ms until something is painted at all: the frame as it stands in index.html. */
  frameMs: number;
  /** ms until there are true words: those of the page, or of the picture that was kept of it today. */
  wordsMs: number;
  /** ms until the page itself has been drawn. */
  drawnMs: number;
  /** ms until the page answers: words stand, and what it had to do before it could answer is over. */
  usableMs: number;
  /** ms in which, once something stood there, nothing did. */
  blankMs: number;
  /** By how much what stood there was moved (Layout Instability, sum of all shifts without a press). */
  shift: number;
}

/** Watches a page from its start; runs in the page. */
function watchStart(): void {
  const seen = { frameMs: 0, wordsMs: 0, drawnMs: 0, blankMs: 0, shift: 0, hadSketch: false };
  Object.assign(window, { seen });
  const WORDS = 'h1, h2, [role="heading"], a, input, textarea, button';
  const isShown = (element: Element | null) =>
    [...(element?.querySelectorAll<HTMLElement>(WORDS) ?? [])].some(({ offsetHeight }) => offsetHeight > 0);
  let last = 0;
  const look = () => {
    const now = performance.now();
    const sketch = document.getElementById('sketch');
    const page = document.querySelector('[role="main"] .peer, main .peer');
    const standsIn = [...document.querySelectorAll<HTMLElement>('[aria-hidden] .bg-leaf')].some(
      ({ offsetHeight }) => offsetHeight > 0,
    );
    if (isShown(page)) seen.drawnMs ||= now;
    if (isShown(page) || sketch?.dataset['still']) seen.wordsMs ||= now;
    const stands = sketch !== null || isShown(page) || standsIn;
    if (sketch) seen.hadSketch = true;
    if (seen.hadSketch && !stands) seen.blankMs += now - last;
    last = now;
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
  new PerformanceObserver((list) => {
    for (const { startTime, name } of list.getEntries())
      if (name === 'first-contentful-paint' || name === 'first-paint') seen.frameMs ||= startTime;
  }).observe({ type: 'paint', buffered: true });
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) {
      const { hadRecentInput, value } = entry as unknown as { hadRecentInput: boolean; value: number };
      if (!hadRecentInput) seen.shift += value;
    }
  }).observe({ type: 'layout-shift', buffered: true });
}

/** The first time, after the page has been drawn, at which the page answers a message to itself within a tenth of a second. */
async function usableMs(page: Page): Promise<number> {
  return page.evaluate(async () => {
    const seen = (window as unknown as { seen: { drawnMs: number } }).seen;
    for (;;) {
      const asked = performance.now();
      await new Promise((resolve) => setTimeout(resolve, 0));
      const now = performance.now();
      if (seen.drawnMs > 0 && now - asked < 100 && document.documentElement.dataset['book'] === 'read')
        return now;
    }
  });
}

async function start(page: Page, path: string): Promise<Starts> {
  await page.goto(`${ORIGIN}/${path}`, { waitUntil: 'commit' });
  const usable = await usableMs(page);
  await page.waitForTimeout(3000);
  const seen = await page.evaluate(() => (window as unknown as { seen: Starts }).seen);
  return { ...seen, usableMs: usable };
}

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

async function slowDown(page: Page): Promise<CDPSession> {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return session;
}

const only = process.env['PAGES']?.split(',');
const byPage: Record<string, Starts> = {};
await withBrowser(async (browser) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.addInitScript(watchPage);
  await fill(page, 240);
  await page.goto(`${ORIGIN}/book`);
  await isRead(page);
  const card = await page.evaluate(
    () => document.querySelector('[id^="row-"]')?.id.slice('row-'.length) ?? '',
  );
  await page.waitForTimeout(2000);
  await page.close();
  for (const path of PAGES) {
    if (only && !only.includes(path)) continue;
    const address = path.replace('CARD', encodeURIComponent(card));
    // Once as it is on other days, to the end: it has then been there before.
    const before = await context.newPage();
    await before.goto(`${ORIGIN}/${address}`);
    await before.waitForTimeout(4000);
    await before.close();
    const runs: Starts[] = [];
    for (let i = 0; i < RUNS; i += 1) {
      const slow = await context.newPage();
      await slow.addInitScript(watchStart);
      await slowDown(slow);
      runs.push(await start(slow, address));
      await slow.close();
    }
    const round = (name: keyof Starts, digits = 0) =>
      Number(median(runs.map((run) => run[name])).toFixed(digits));
    byPage[path] = {
      frameMs: round('frameMs'),
      wordsMs: round('wordsMs'),
      drawnMs: round('drawnMs'),
      usableMs: round('usableMs'),
      blankMs: round('blankMs'),
      shift: round('shift', 3),
    };
  }
});
console.log(JSON.stringify(byPage));
