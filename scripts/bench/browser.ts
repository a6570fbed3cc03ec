// Figures of the application in Chromium: the first page's script, first paint and scrolling. Prints one JSON value.
import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { chromium, type Page } from '@playwright/test';

import { getFormat } from '@/core/formats';
import { generateLargeBook } from '@/demo';

import chromiumArgs from '../chromiumArgs.json';
import { generateLargeTalks } from './largeTalks';

const PORT = 4885;
const URL_OF_BOOK = `http://127.0.0.1:${PORT}/book`;
const RUNS = 11;
/** Talks of a busy professional's full book. */
const TALKS = 900_000;

/** Notes when the first row of the Book stands on the page, and the longest time that the page could not answer. */
function watchPage(): void {
  const marks = { firstRowMs: 0, longestTaskMs: 0 };
  Object.assign(window, { marks });
  new MutationObserver(() => {
    if (marks.firstRowMs === 0 && document.querySelector('[id^="row-"]'))
      requestAnimationFrame(() => (marks.firstRowMs ||= performance.now()));
  }).observe(document, { childList: true, subtree: true });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries())
      marks.longestTaskMs = Math.max(marks.longestTaskMs, duration);
  }).observe({ type: 'longtask', buffered: true });
}

interface Marks {
  firstRowMs: number;
  longestTaskMs: number;
}
const marksOf = (page: Page) => page.evaluate(() => (window as unknown as { marks: Marks }).marks);
const isRead = (page: Page) =>
  page.waitForFunction(() => document.documentElement.dataset['book'] === 'read', undefined, {
    timeout: 240_000,
  });

/** Puts a generated book in by the way a user would, and gives the longest task of the page meanwhile. */
async function fill(page: Page, size: number): Promise<number> {
  const text = getFormat('vcard4')?.write(generateLargeBook(size)) ?? '';
  await page.goto(`http://127.0.0.1:${PORT}/import`);
  await isRead(page);
  const chooser = page.waitForEvent('filechooser');
  await page.getByTestId('choose-files').click();
  // By its path: handing the bytes over through the page would be a long task of its own.
  const file = join(mkdtempSync(join(tmpdir(), 'cordialis-bench-')), 'large.vcf');
  writeFileSync(file, text);
  await page.evaluate(() => ((window as unknown as { marks: Marks }).marks.longestTaskMs = 0));
  await (await chooser).setFiles(file);
  await page.getByTestId('do-import').click({ timeout: 240_000 });
  await page.getByTestId('import-done').waitFor({ timeout: 240_000 });
  await page.waitForFunction(() => document.documentElement.dataset['saving'] === 'saved', undefined, {
    timeout: 240_000,
  });
  // The rows for the next start are kept a moment after the last write.
  await page.waitForTimeout(4000);
  return (await marksOf(page)).longestTaskMs;
}

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

/** Puts talks in as they lie in the store; taking in a mailbox of that size is measured by itself. */
async function storeTalks(page: Page, size: number): Promise<void> {
  const uids = generateLargeBook(size).map(({ uid }) => uid);
  const { months, summaries } = generateLargeTalks(uids, TALKS, '2026-11-24');
  const records = [
    ...[...months].map(([month, talks]): [string, string] => [`talks:${month}`, JSON.stringify(talks)]),
    ...[...summaries].map(([uid, summary]): [string, string] => [`talksum:${uid}`, JSON.stringify(summary)]),
  ];
  await page.goto(`http://127.0.0.1:${PORT}/settings`);
  await isRead(page);
  for (let i = 0; i < records.length; i += 20)
    await page.evaluate(
      async (some) => {
        const open = indexedDB.open('cordialis');
        const db = await new Promise<IDBDatabase>((done, fail) => {
          open.onsuccess = () => done(open.result);
          open.onerror = () => fail(new Error('there is no store'));
        });
        const write = db.transaction('entries', 'readwrite');
        for (const [key, text] of some) write.objectStore('entries').put(text, key);
        await new Promise((done) => (write.oncomplete = done));
        db.close();
      },
      records.slice(i, i + 20),
    );
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

/** What is only waiting to be collected is not what the tab needs. */
async function heapMbOf(page: Page): Promise<number> {
  await (await page.context().newCDPSession(page)).send('HeapProfiler.collectGarbage');
  const octets = await page.evaluate(
    () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize,
  );
  return Math.round(octets / 1e6);
}

function firstPageBytes(requested: ReadonlySet<string>): number {
  const folder = join('dist', 'web', '_expo', 'static', 'js', 'web');
  return readdirSync(folder)
    .filter((name) => requested.has(name))
    .reduce((sum, name) => sum + statSync(join(folder, `${name}.br`)).size, 0);
}

async function main(): Promise<void> {
  const hub = spawn(process.execPath, [process.env['HUB_PROGRAM'] ?? ''], {
    env: { ...process.env, PORT: String(PORT) },
    stdio: 'ignore',
  });
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: [...chromiumArgs, '--enable-precise-memory-info'],
  });
  try {
    for (let i = 0; i < 100; i += 1) {
      if (
        await fetch(`http://127.0.0.1:${PORT}/api/health`).then(
          ({ ok }) => ok,
          () => false,
        )
      )
        break;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
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
        new Set([...requested].filter((name) => html.includes(name) || /^(_layout|index)-/.test(name))),
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
  } finally {
    await browser.close();
    hub.kill();
  }
}

void main();
