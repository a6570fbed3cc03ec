// What holds when a page is closed in the middle, the disk is full, or a change from long ago is undone: with the timing of
// a browser.
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { getFormat } from '@/core/formats';
import { generateLargeBook } from '@/demo';

import { addCard, expect, find, isRead, isSaved, ONE_SIZE, openDemo, OWN, test } from './fixtures';

const CARDS = 2400;

test(
  'an import whose page is closed is offered by name and number, and finished or undone',
  ONE_SIZE,
  async ({ context }) => {
    const file = join(mkdtempSync(join(tmpdir(), 'cordialis-')), 'guild.vcf');
    writeFileSync(file, getFormat('vcard4')?.write(generateLargeBook(CARDS)) ?? '');
    const importAndClose = async () => {
      const page = await context.newPage();
      await page.goto(`${OWN}/import`);
      await isRead(page);
      const chooser = page.waitForEvent('filechooser');
      await page.getByTestId('choose-files').click();
      await (await chooser).setFiles(file);
      await page.getByTestId('do-import').click();
      // Preparing is 30 of 100: it has begun then, and isn't over.
      await page.waitForFunction(
        () => {
          const now = Number(
            document.querySelector('[role="progressbar"]')?.getAttribute('aria-valuenow') ?? 0,
          );
          return now > 40;
        },
        undefined,
        { polling: 20 },
      );
      await page.close({ runBeforeUnload: false });
    };
    await importAndClose();
    const next = await context.newPage();
    await next.goto(`${OWN}/book`);
    await isRead(next);
    await expect(next.getByTestId('unfinished')).toContainText(/guild\.vcf|2,?400 cards/);
    await next.getByTestId('undo-long').click();
    await expect(next.getByTestId('unfinished')).toHaveCount(0);
    await isSaved(next);
    await next.reload();
    await isRead(next);
    await expect(next.getByTestId('unfinished')).toHaveCount(0);
    await expect(next.getByText('Create the first card')).toBeVisible();
    await next.close();

    await importAndClose();
    const last = await context.newPage();
    await last.goto(`${OWN}/book`);
    await isRead(last);
    await last.getByTestId('finish-long').click();
    await expect(last.getByTestId('unfinished')).toHaveCount(0);
    await isSaved(last);
    await last.goto(`${OWN}/changes`);
    await isRead(last);
    await expect(last.getByTestId('change').first()).toContainText('2,400 cards');
    // One change, of many pieces, undone from the list after a reload.
    await last
      .getByRole('button', { name: /^Undo: / })
      .first()
      .click();
    await expect(last.getByTestId('change').first()).toContainText('undone');
    await isSaved(last);
    await last.goto(`${OWN}/book`);
    await isRead(last);
    await expect(last.getByText('Create the first card')).toBeVisible();
  },
);

test(
  'while the disk is full nothing typed is lost, the page says so, and a backup can be made',
  ONE_SIZE,
  async ({ page }) => {
    await page.addInitScript(() => {
      const put = IDBObjectStore.prototype.put;
      IDBObjectStore.prototype.put = function refusing(...args: Parameters<typeof put>) {
        if (localStorage.getItem('is-full')) throw new DOMException('The disk is full', 'QuotaExceededError');
        return put.apply(this, args);
      };
    });
    await page.goto(`${OWN}/book/new`);
    await isRead(page);
    await addCard(page, 'Ada Lowther', '020 7946 0001');
    await page.evaluate(() => localStorage.setItem('is-full', '1'));
    await page.getByTestId('edit-card').click();
    await page.getByTestId('field-nickname').fill('Addie');
    await page.getByTestId('save-card').click();
    await expect(page.getByTestId('not-saved')).toContainText('Keep this page open');
    await expect(page.getByTestId('card-page')).toContainText('Addie');
    await page.getByTestId('not-saved').getByText('Create a backup').click();
    const download = page.waitForEvent('download');
    await page.getByTestId('make-backup').click();
    const path = await (await download).path();
    await page.evaluate(() => localStorage.removeItem('is-full'));
    // Nobody does anything for it: it is tried again.
    await expect(page.getByTestId('not-saved')).toHaveCount(0);
    await isSaved(page);
    await page.reload();
    await isRead(page);
    await find(page, 'lowther', /Ada Lowther/);
    await expect(page.getByTestId('card-page')).toContainText('Addie');
    // The backup has what the disk would not take.
    await page.getByTestId('edit-card').click();
    await page.getByTestId('field-nickname').fill('Somebody else');
    await page.getByTestId('save-card').click();
    await isSaved(page);
    await page.goto(`${OWN}/settings`);
    await isRead(page);
    const chooser = page.waitForEvent('filechooser');
    await page.getByTestId('restore-backup').click();
    await (await chooser).setFiles(path);
    await page.getByTestId('do-restore').click();
    await expect(page.getByTestId('restore-sheet')).toHaveCount(0);
    await isSaved(page);
    await find(page, 'lowther', /Ada Lowther/);
    await expect(page.getByTestId('card-page')).toContainText('Addie');
  },
);

test('Changes lists what was done; an earlier one is undone by keyboard, and what is newer stays', async ({
  page,
}) => {
  await openDemo(page);
  await find(page, 'ames', /Delphine Ames/);
  for (const [field, value] of [
    ['field-nickname', 'Del'],
    ['field-title', 'Viola da gamba'],
  ] as const) {
    await page.getByTestId('edit-card').click();
    await page.getByTestId(field).fill(value);
    await page.getByTestId('save-card').click();
    await isSaved(page);
  }
  await page.goto(`${page.url().split('/book')[0] ?? ''}/settings`);
  await isRead(page);
  await page.getByTestId('show-changes').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('change')).toHaveCount(3);
  await page
    .getByRole('button', { name: /^Undo: / })
    .nth(1)
    .focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('change').nth(1)).toContainText('undone');
  await find(page, 'ames', /Delphine Ames/);
  await expect(page.getByTestId('card-page')).toContainText('Viola da gamba');
  await expect(page.getByTestId('card-page')).not.toContainText('“Del”');
});
