// A page of the application in Chromium, for the benches that need one: filled, watched, measured.
import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { type Browser, chromium, type Page } from '@playwright/test';

import { getFormat } from '@/core/formats';
import { generateLargeBook } from '@/demo';

import chromiumArgs from '../chromiumArgs.json';
import { generateLargeTalks } from './largeTalks';

const PORT = 4885;
/** Where the hub of the bench answers. */
export const ORIGIN = `http://127.0.0.1:${PORT}`;
/** Talks of a busy professional's full book. */
export const TALKS = Number(process.env['TALKS'] ?? 900_000);

/** Starts a hub and a browser for some work, and ends both after it. */
export async function withBrowser(work: (browser: Browser) => Promise<void>): Promise<void> {
  const hub = spawn(process.execPath, [process.env['HUB_PROGRAM'] ?? ''], {
    // A store of its own: the one beside the project may hold somebody's book, or a demo's.
    env: {
      ...process.env,
      PORT: String(PORT),
      CORDIALIS_DATA: mkdtempSync(join(tmpdir(), 'cordialis-bench-')),
    },
    stdio: 'ignore',
  });
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: [...chromiumArgs, '--enable-precise-memory-info'],
  });
  try {
    for (let i = 0; i < 100; i += 1) {
      const isUp = await fetch(`${ORIGIN}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      );
      if (isUp) break;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    await work(browser);
  } finally {
    await browser.close();
    hub.kill();
  }
}

/** Notes when the first row of the Book stands on the page, and the longest time that the page could not answer. */
export function watchPage(): void {
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
/** What `watchPage` has noted. */
export const marksOf = (page: Page) => page.evaluate(() => (window as unknown as { marks: Marks }).marks);
/** Waits until all cards have been read. */
export const isRead = (page: Page) =>
  page.waitForFunction(() => document.documentElement.dataset['book'] === 'read', undefined, {
    timeout: 240_000,
  });

/** Puts a generated book in by the way a user would, and gives the longest task of the page meanwhile. */
export async function fill(page: Page, size: number): Promise<number> {
  const text = getFormat('vcard4')?.write(generateLargeBook(size)) ?? '';
  await page.goto(`${ORIGIN}/import`);
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

/** Puts talks in as they lie in the store; taking in a mailbox of that size is measured by itself. */
export async function storeTalks(page: Page, size: number): Promise<void> {
  const uids = generateLargeBook(size).map(({ uid }) => uid);
  const { months, summaries } = generateLargeTalks(uids, TALKS, '2026-11-24');
  const records = [
    ...[...months].map(([month, talks]): [string, string] => [`talks:${month}`, JSON.stringify(talks)]),
    ...[...summaries].map(([uid, summary]): [string, string] => [`talksum:${uid}`, JSON.stringify(summary)]),
  ];
  await storeRecords(page, records);
}

/** Puts records into the store as they lie there. */
export async function storeRecords(
  page: Page,
  records: readonly [key: string, text: string][],
): Promise<void> {
  await page.goto(`${ORIGIN}/settings`);
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

/** What is only waiting to be collected is not what the tab needs. */
export async function heapMbOf(page: Page): Promise<number> {
  const session = await page.context().newCDPSession(page);
  await session.send('HeapProfiler.collectGarbage');
  await session.detach();
  const octets = await page.evaluate(
    () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize,
  );
  return Math.round(octets / 1e6);
}
