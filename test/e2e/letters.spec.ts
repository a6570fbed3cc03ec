// Letters: labels measured in the printed page, envelopes, the list for other programs; templates in Write.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

import { expect, ONE_SIZE, openDemo, test } from './fixtures';

/** Poppler's reader (Debian's poppler-utils) says where each word stands on a page. */
const READER = '/usr/bin/pdftotext';
const MM_OF_POINT = 25.4 / 72;

interface Word {
  readonly page: number;
  readonly text: string;
  /** Millimetres from the top left corner. */
  readonly box: readonly [left: number, top: number, right: number, bottom: number];
}

async function openLetters(page: Page): Promise<void> {
  await openDemo(page, '/lists');
  await page.getByRole('link', { name: /^Patrons/ }).click();
  await page.getByTestId('write-list').click();
  await expect(page.getByTestId('place-to')).toBeVisible();
  await page.getByTestId('to-letters').click();
  await expect(page.getByTestId('letter-count')).not.toHaveText(/^0/);
}

/** What the browser would print, as its own PDF; and the words in it, with the sizes of the pages in millimetres. */
async function printed(page: Page, button: string): Promise<{ words: Word[]; sizes: number[][] }> {
  await page.getByTestId(button).click();
  const frame = page.locator('iframe[title="Page to print"]').last();
  await frame.waitFor({ state: 'attached' });
  const html = (await frame.getAttribute('srcdoc')) ?? '';
  const sheet = await page.context().newPage();
  await sheet.setContent(html);
  const folder = await mkdtemp(join(tmpdir(), 'cordialis-letters-'));
  const [pdf, out] = [join(folder, 'letters.pdf'), join(folder, 'letters.html')];
  await writeFile(pdf, await sheet.pdf({ preferCSSPageSize: true, printBackground: true }));
  await sheet.close();
  expect(spawnSync(READER, ['-bbox', pdf, out]).status).toBe(0);
  return readBoxes(await readFile(out, 'utf8'));
}

function readBoxes(html: string): { words: Word[]; sizes: number[][] } {
  const words: Word[] = [];
  const sizes: number[][] = [];
  const mm = (points: string | undefined) => Number(points) * MM_OF_POINT;
  for (const line of html.split('\n')) {
    const size = /<page width="([\d.]+)" height="([\d.]+)"/.exec(line);
    if (size) sizes.push([mm(size[1]), mm(size[2])]);
    const box = /<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(.*)<\/word>/.exec(
      line,
    );
    if (box)
      words.push({
        ...{ page: sizes.length - 1, text: box[5] ?? '' },
        box: [mm(box[1]), mm(box[2]), mm(box[3]), mm(box[4])],
      });
  }
  return { words, sizes };
}

test(
  'labels are printed where the labels of the sheet are, from the chosen place on',
  ONE_SIZE,
  async ({ page }) => {
    test.skip(!existsSync(READER), 'pdftotext is not installed');
    await openLetters(page);
    const count = Number.parseInt(await page.getByTestId('letter-count').innerText(), 10);
    await page.getByRole('radio', { name: '24 on A4, 70 × 36 mm' }).click();
    await page.getByTestId('label-start').fill('5');
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations).toEqual([]);
    const { words, sizes } = await printed(page, 'print-labels');
    expect(sizes).toHaveLength(Math.ceil((count + 4) / 24));
    for (const [width = 0, height = 0] of sizes) {
      expect(Math.abs(width - 210)).toBeLessThan(0.5);
      expect(Math.abs(height - 297)).toBeLessThan(0.5);
    }
    // Every word lies within one cell of the grid, and as many cells are used as there are letters.
    const cells = new Set<string>();
    for (const { page: sheet, box } of words) {
      const [left, top, right, bottom] = box;
      const [column, row] = [Math.floor(left / 70), Math.floor((top - 4.5) / 36)];
      cells.add(`${sheet} ${row} ${column}`);
      expect(right).toBeLessThanOrEqual((column + 1) * 70);
      expect(bottom).toBeLessThanOrEqual(4.5 + (row + 1) * 36);
    }
    expect(cells.size).toBe(count);
    expect(cells.has('0 1 0')).toBe(false);
    expect(cells.has('0 1 1')).toBe(true);
  },
);

test('sizes of one’s own are typed, and what doesn’t fit the paper says so', ONE_SIZE, async ({ page }) => {
  await openLetters(page);
  await page.getByRole('radio', { name: 'Custom size' }).click();
  await page.getByTestId('size-From the left edge').fill('40');
  await expect(page.getByTestId('labels')).toContainText('over the right edge');
  await expect(page.getByTestId('print-labels')).toBeDisabled();
  await page.getByTestId('size-Labels in a row').fill('2');
  await expect(page.getByTestId('print-labels')).toBeEnabled();
});

test(
  'an envelope has the sender at the top left and the address right below the middle',
  ONE_SIZE,
  async ({ page }) => {
    test.skip(!existsSync(READER), 'pdftotext is not installed');
    await openLetters(page);
    await page.getByRole('radio', { name: 'Envelopes' }).click();
    await page.getByTestId('sender').fill('Wexmere Festival\n12 Harbour Street');
    const { words, sizes } = await printed(page, 'print-envelopes');
    for (const [width = 0, height = 0] of sizes) {
      expect(Math.abs(width - 220)).toBeLessThan(0.5);
      expect(Math.abs(height - 110)).toBeLessThan(0.5);
    }
    for (const { text, box } of words) {
      const isSender = ['Wexmere', 'Festival', '12', 'Harbour', 'Street'].includes(text) && box[1] < 30;
      if (isSender) expect(box[2]).toBeLessThan(90);
      else expect([box[0] > 95, box[1] > 45]).toEqual([true, true]);
    }
    expect(words.length).toBeGreaterThan(sizes.length * 4);
  },
);

test('the list for other programs names everybody who gets a letter', ONE_SIZE, async ({ page }) => {
  await openLetters(page);
  const count = Number.parseInt(await page.getByTestId('letter-count').innerText(), 10);
  const download = page.waitForEvent('download');
  await page.getByTestId('save-letter-list').click();
  const text = await readFile(await (await download).path(), 'utf8');
  expect(text.split('\r\n')[0]).toMatch(/^"Salutation","Name"/);
  expect(text.trim().split('\r\n')).toHaveLength(count + 1);
});

test(
  'a template is taken, seen for each, changed, kept under a name and forgotten again',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/lists');
    await page.getByRole('link', { name: /^Patrons/ }).click();
    await page.getByTestId('write-list').click();
    await page.getByTestId('open-templates').click();
    await page.getByRole('button', { name: 'Begin with Birthday greeting' }).click();
    const preview = page.getByTestId('mail-preview');
    await expect(preview).toContainText('1 of');
    const first = await preview.innerText();
    await page.getByTestId('preview-next').click();
    await expect(preview).toContainText('2 of');
    expect(await preview.innerText()).not.toBe(first);
    await expect(preview).not.toContainText('{birthday}');
    await page.getByTestId('mail-body').fill('{salutation}, welcome{if town} from {town}{end}.');
    await expect(preview).not.toContainText('{if');
    await page.getByTestId('open-templates').click();
    await page.getByTestId('template-name').fill('Welcome');
    await page.getByTestId('keep-template').click();
    await page.getByTestId('open-templates').click();
    await expect(page.getByRole('button', { name: 'Begin with Welcome' })).toBeVisible();
    await page.getByRole('button', { name: 'Delete the template Welcome' }).click();
    await expect(page.getByRole('button', { name: 'Begin with Welcome' })).toHaveCount(0);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByTestId('open-templates').click();
    await expect(page.getByRole('button', { name: 'Begin with Welcome' })).toBeVisible();
  },
);
