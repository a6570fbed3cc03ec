// Figures of the application in Chromium: the first page's script, first paint and scrolling. Prints one JSON value.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

import type { Page } from '@playwright/test';

import {
  fill,
  heapMbOf,
  isRead,
  marksOf,
  ORIGIN,
  storeTalks,
  TALKS,
  watchPage,
  withBrowser,
} from './bookPage';

const URL_OF_BOOK = `${ORIGIN}/book`;
const RUNS = 11;

async function paintMs(page: Page): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < RUNS; i += 1) {
    await page.goto(URL_OF_BOOK);
    await page.locator('[id^="row-"]').first().waitFor();
    await isRead(page);
    times.push((await marksOf(page)).firstRowMs);
  }
  return times.sort((a, b) => a - b)[Math.floor(RUNS / 2)] ?? 0;
}

/** Scrolls through the list as fast as a thumb flings, and gives the longest frame. */
async function scrollFrames(page: Page) {
  await page.waitForTimeout(1500);
  return page.evaluate(async () => {
    const list = document.getElementById('book-rows');
    const frames: number[] = [];
    let last = performance.now();
    for (let i = 0; i < 300; i += 1) {
      if (list) list.scrollTop += 120;
      const now = await new Promise<number>((resolve) => requestAnimationFrame(resolve));
      frames.push(now - last);
      last = now;
    }
    frames.sort((a, b) => a - b);
    return {
      longestFrameMs: Math.round(frames.at(-1) ?? 0),
      p95FrameMs: Math.round(frames[284] ?? 0),
      scrolledPx: list?.scrollTop ?? 0,
    };
  });
}

function firstPageBytes(requested: ReadonlySet<string>): number {
  const folder = join('dist', 'web', '_expo', 'static', 'js', 'web');
  return readdirSync(folder)
    .filter((name) => requested.has(name))
    .reduce((sum, name) => sum + statSync(join(folder, `${name}.br`)).size, 0);
}

async function main(): Promise<void> {
  await withBrowser(async (browser) => {
    const results: Record<number, Record<string, number>> = {};
    const talks = { stored: TALKS, firstPaintMs: 0, heapMb: 0, paintRatio: 0 };
    let scriptBytes = 0;
    for (const size of [240, 11_000]) {
      const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
      const page = await context.newPage();
      await page.addInitScript(watchPage);
      const importTaskMs = await fill(page, size);
      const requested = new Set<string>();
      page.on('request', (request) => {
        if (request.resourceType() === 'script') requested.add(request.url().split('/').at(-1) ?? '');
      });
      const firstPaintMs = await paintMs(page);
      // What comes when idle (the card's pages) is not of the first page.
      const html = readFileSync('dist/web/index.html', 'utf8');
      scriptBytes = firstPageBytes(
        new Set(
          [...requested].filter(
            (name) => html.includes(name) || /^(_layout|index|ahead|BookPlace)-/.test(name),
          ),
        ),
      );
      const scroll = await scrollFrames(page);
      const heapMb = await heapMbOf(page);
      results[size] = {
        firstPaintMs: Math.round(firstPaintMs),
        importTaskMs: Math.round(importTaskMs),
        heapMb,
        ...scroll,
      };
      if (size === 11_000) {
        await storeTalks(page, size);
        const withTalksMs = await paintMs(page);
        await page.waitForTimeout(4000);
        Object.assign(talks, { firstPaintMs: Math.round(withTalksMs), heapMb: await heapMbOf(page) });
        talks.paintRatio = Number((withTalksMs / firstPaintMs).toFixed(2));
      }
      await context.close();
    }
    const ratio = (results[11_000]?.['firstPaintMs'] ?? 0) / (results[240]?.['firstPaintMs'] ?? 1);
    console.log(
      JSON.stringify({
        firstPageScriptKb: Math.round(scriptBytes / 1000),
        paintRatio: Number(ratio.toFixed(2)),
        bySize: results,
        talks,
      }),
    );
  });
}

void main();
