// Several cards chosen, and one thing done to all of them.
import { readFileSync } from 'node:fs';

import { expect, isSaved, ONE_SIZE, openDemo, test, WIDE_ONLY } from './fixtures';

test('several cards are chosen by touch, sent as one file, tagged, put on a list, and all of it is taken back', async ({
  page,
}) => {
  await openDemo(page, '/book');
  await page.getByTestId('choose-several').click();
  const rows = page.getByTestId('book-list').getByRole('checkbox');
  for (const at of [0, 1, 2]) await rows.nth(at).click();
  await expect(page.getByTestId('chosen-count')).toHaveText('3 cards selected');
  await rows.nth(1).click();
  await expect(page.getByTestId('chosen-count')).toHaveText('2 cards selected');

  await page.getByTestId('many-send').click();
  const download = page.waitForEvent('download');
  await page.getByTestId('send-many-file').click();
  const file = readFileSync(await (await download).path(), 'utf8');
  expect(file.match(/BEGIN:VCARD/g)).toHaveLength(2);
  expect(file).not.toContain('NOTE');
  await page.keyboard.press('Escape');

  await page.getByTestId('many-tags').click();
  await page.getByTestId('new-tag').fill('brass band');
  await page.getByTestId('give-tag').click();
  await expect(page.getByRole('checkbox', { name: 'brass band' })).toBeChecked();
  await page.keyboard.press('Escape');

  await page.getByTestId('many-lists').click();
  await page.getByTestId('new-list-name').fill('Pier concert');
  await page.getByTestId('make-list').click();
  await expect(page.getByRole('checkbox', { name: 'Pier concert' })).toBeChecked();
  await page.keyboard.press('Escape');
  await page.getByTestId('choosing-done').click();
  await expect(page.getByTestId('chosen-count')).toHaveCount(0);
  await isSaved(page);
});

test('all shown are archived in one step and come back with one undo', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/book');
  const before = await page.getByTestId('book-counts').textContent();
  await page.getByRole('radio', { name: 'Organisations' }).click();
  await page.getByTestId('choose-several').click();
  await page.getByTestId('choose-all').click();
  await page.getByTestId('many-more').click();
  await page.getByTestId('many-archive').click();
  await expect(page.getByTestId('book-counts')).toContainText('0 organisations');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('book-counts')).toHaveText(before ?? '');
});

test('rows are chosen by keys alone: Space, Shift with Space, Escape', WIDE_ONLY, async ({ page }) => {
  await openDemo(page, '/book');
  await page.locator('[id^="row-"]').first().waitFor();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('chosen-count')).toHaveText('1 card selected');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+Space');
  await expect(page.getByTestId('chosen-count')).toHaveText('5 cards selected');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('chosen-count')).toHaveCount(0);
});
