// Moving a whole book at full size: backing it up, restoring it into an empty browser, exporting it. Prints one JSON value.
import { randomBytes } from 'node:crypto';
import { statSync } from 'node:fs';

import type { Browser, Page } from '@playwright/test';

import { generateLargeBook } from '@/demo';

import {
  fill,
  heapMbOf,
  isRead,
  marksOf,
  ORIGIN,
  storeRecords,
  storeTalks,
  TALKS,
  watchPage,
  withBrowser,
} from './bookPage';

const CARDS = 11_000;
const PHOTOS = 2000;
/** Bytes of a photo as a phone cuts it for a contact. */
const PHOTO_BYTES = 24_000;
const TIMEOUT = 1_800_000;
const HEAP_EVERY_MS = 10_000;

interface Moved {
  readonly seconds: number;
  readonly longestTaskMs: number;
  /** The most that the page's heap has held after collecting what is no longer used. */
  readonly heapMb: number;
}

/** Watches a page while something is done on it. */
async function measure(page: Page, name: string, work: () => Promise<void>): Promise<Moved> {
  await page.evaluate(
    () => ((window as unknown as { marks: { longestTaskMs: number } }).marks.longestTaskMs = 0),
  );
  let heapMb = 0;
  let isOver = false;
  const watch = (async () => {
    while (!isOver) {
      heapMb = Math.max(heapMb, await heapMbOf(page));
      await new Promise((resolve) => setTimeout(resolve, HEAP_EVERY_MS));
    }
  })();
  const begin = Date.now();
  await work();
  const seconds = Math.round((Date.now() - begin) / 1000);
  isOver = true;
  await watch;
  const { longestTaskMs } = await marksOf(page);
  const moved = { seconds, longestTaskMs: Math.round(longestTaskMs), heapMb };
  // A run of the full size is long: what is known stands there while the rest is measured.
  console.error(name, JSON.stringify(moved));
  return moved;
}

async function openSettings(page: Page): Promise<void> {
  await page.goto(`${ORIGIN}/settings`);
  await isRead(page);
  await page.waitForTimeout(3000);
}

/** The first cards of the book get a photo each. */
async function storePhotos(page: Page): Promise<void> {
  const records = generateLargeBook(CARDS)
    .slice(0, PHOTOS)
    .flatMap((card, i): [string, string][] => [
      [`photo:bench${i}`, `data:image/jpeg;base64,${randomBytes(PHOTO_BYTES).toString('base64')}`],
      [
        `card:${card.uid}`,
        JSON.stringify({ ...card, media: { m1: { kind: 'photo', blobId: `bench${i}` } } }),
      ],
    ]);
  await storeRecords(page, records);
}

async function newPage(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
  const page = await context.newPage();
  page.setDefaultTimeout(TIMEOUT);
  await page.addInitScript(watchPage);
  return page;
}

async function main(): Promise<void> {
  await withBrowser(async (browser) => {
    const page = await newPage(browser);
    await fill(page, CARDS);
    await storePhotos(page);
    await storeTalks(page, CARDS);
    await openSettings(page);
    let path = '';
    const backup = await measure(page, 'backup', async () => {
      const download = page.waitForEvent('download', { timeout: TIMEOUT });
      await page.getByTestId('make-backup').click();
      path = await (await download).path();
    });
    await openSettings(page);
    const exported = await measure(page, 'export', async () => {
      const download = page.waitForEvent('download', { timeout: TIMEOUT });
      await page.getByTestId('export-book').click();
      await (await download).path();
    });
    const empty = await newPage(browser);
    await openSettings(empty);
    const restored = await measure(empty, 'restore', async () => {
      const chooser = empty.waitForEvent('filechooser');
      await empty.getByTestId('restore-backup').click();
      await (await chooser).setFiles(path);
      await empty.getByTestId('do-restore').click();
      await empty.getByTestId('restore-sheet').waitFor({ state: 'detached' });
    });
    const megabytes = Math.round(statSync(path).size / 1e6);
    await page.context().close();
    console.log(
      JSON.stringify({ cards: CARDS, talks: TALKS, photos: PHOTOS, megabytes, backup, exported, restored }),
    );
  });
}

void main();
