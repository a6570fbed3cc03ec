import { readFileSync } from 'node:fs';

import { addCard, expect, find, isRead, isSaved, ONE_SIZE, openDemo, showDetails, test } from './fixtures';

const VCARD = [
  'BEGIN:VCARD',
  'VERSION:3.0',
  'UID:imported-1',
  'FN:Ottilie Quast',
  'N:Quast;Ottilie;;;',
  'TEL;TYPE=WORK:+49 40 66969 123',
  'END:VCARD',
  'BEGIN:VCARD',
  'VERSION:3.0',
  'N:;;;;',
  'END:VCARD',
  'BEGIN:VCARD',
  'VERSION:4.0',
  'UID:imported-2',
  'FN:Brandt & Söhne',
  'KIND:org',
  'ORG:Brandt & Söhne',
  'END:VCARD',
  '',
].join('\r\n');

test('somebody is found, read, rung, edited; a card added, a file imported, the book exported; all is there after a reload', async ({
  page,
}) => {
  await openDemo(page);
  const counts = page.getByTestId('book-counts');
  const before = Number(/^(\d+)/.exec((await counts.textContent()) ?? '')?.[1]);
  expect(before).toBeGreaterThan(200);

  // Found by first letters, without the marks: Götz Achterberg.
  await find(page, 'got ach', /Götz Achterberg/);
  await expect(page.getByTestId('card-name')).toHaveText('Götz Achterberg');

  // Each number is a link that dials.
  await showDetails(page);
  const number = page.getByTestId('value').first();
  await expect(number).toHaveAttribute('href', /^tel:\+\d{8,15}$/);
  await expect(page.getByRole('link', { name: 'Call', exact: true })).toHaveAttribute(
    'href',
    /^tel:\+\d{8,15}$/,
  );

  // Edited in place.
  await page.getByTestId('edit-card').click();
  await page.getByTestId('field-nickname').fill('Gö');
  await page.getByTestId('add-notes').click();
  await page.locator('textarea[data-testid^="note-"]').last().fill('Sings Dowland.\nBrings his own stand.');
  await page.getByTestId('save-card').click();
  await expect(page.getByTestId('card-page')).toContainText('Brings his own stand.');

  // Somebody new.
  await page.keyboard.press('n');
  await addCard(page, 'Zuzanna van der Wielen', '+31 6 97012345');
  await expect(page.getByTestId('card-name')).toHaveText('Zuzanna van der Wielen');

  // A file with two good cards and an empty one between them.
  await page.goto(`${new URL(page.url()).origin}/import`);
  await isRead(page);
  const chooser = page.waitForEvent('filechooser');
  await page.getByTestId('choose-files').click();
  await (
    await chooser
  ).setFiles({ name: 'old phone.vcf', mimeType: 'text/vcard', buffer: Buffer.from(VCARD) });
  await expect(page.getByTestId('import-preview')).toContainText('2 new cards');
  await expect(page.getByTestId('import-problems')).toContainText('line 8');
  await page.getByTestId('do-import').click();
  await expect(page.getByTestId('import-done')).toContainText('2 cards imported from old phone.vcf');
  await isSaved(page);

  // All of it is there after a reload.
  await page.goto(`${new URL(page.url()).origin}/book`);
  await isRead(page);
  await expect(counts).toContainText(`${before + 2} people`);
  await find(page, 'zuz wiel', /Zuzanna van der Wielen/);
  await expect(page.getByTestId('card-name')).toHaveText('Zuzanna van der Wielen');
  await find(page, 'gotz', /Götz Achterberg/);
  await showDetails(page);
  await expect(page.getByTestId('card-page')).toContainText('Sings Dowland.');

  // The book goes out as one file, with everything in it.
  await page.goto(`${new URL(page.url()).origin}/settings`);
  await isRead(page);
  const download = page.waitForEvent('download');
  await page.getByTestId('export-book').click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/^Cordialis-\d{4}-\d\d-\d\d\.vcf$/);
  const text = readFileSync(await file.path(), 'utf8').replaceAll('\r\n ', '');
  const lists = text.match(/^KIND:group/gm) ?? [];
  expect(lists.length).toBeGreaterThan(3);
  expect(text.match(/^BEGIN:VCARD/gm)).toHaveLength(before + 31 + 3 + lists.length);
  expect(text).toMatch(/^NICKNAME[^:\r\n]*:Gö/m);
  for (const value of ['imported-2', 'Ottilie Quast', 'Brings his own stand.']) expect(text).toContain(value);
});

test(
  'the exported book, imported again, is the same: nothing new, nothing different',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/settings');
    const download = page.waitForEvent('download');
    await page.getByTestId('export-book').click();
    const path = await (await download).path();
    await page.getByTestId('to-import').click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByTestId('choose-files').click();
    await (await chooser).setFiles({ name: 'book.vcf', mimeType: 'text/vcard', buffer: readFileSync(path) });
    await expect(page.getByTestId('import-preview')).toContainText('There is nothing new in it.');
    await expect(page.getByTestId('import-preview')).toContainText(/\d+ cards are already here and the same/);
    await expect(page.getByTestId('import-problems')).toHaveCount(0);
  },
);

test('a file that holds no cards is refused in words, and nothing changes', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/import');
  const chooser = page.waitForEvent('filechooser');
  await page.getByTestId('choose-files').click();
  await (
    await chooser
  ).setFiles({ name: 'holiday.vcf', mimeType: 'text/vcard', buffer: Buffer.from('just some words') });
  await expect(page.getByTestId('import-problems')).toContainText('no cards were found in it');
  await expect(page.getByTestId('do-import')).toHaveCount(0);
});
