// The Book as a table: sorted, written in place, copied and pasted, kept as a view; and how names are shown.
import type { Page } from '@playwright/test';

import { expect, isRead, isSaved, openDemo, OWN, test } from './fixtures';

test.beforeEach(({ viewport }) => test.skip((viewport?.width ?? 0) < 900, 'the table needs a wide screen'));

/** The texts of a column's first rows, by its place from 0. */
async function column(page: Page, at: number, count: number): Promise<string[]> {
  const cells = await Promise.all(
    Array.from({ length: count }, (_, row) => page.locator(`#cell-${row}-${at}`).textContent()),
  );
  return cells.map((text) => text ?? '');
}

test('the table is sorted by several columns, and stays so', async ({ page }) => {
  await openDemo(page, '/book');
  await page.getByTestId('as-table').click();
  await page.getByTestId('head-town').click();
  await page.getByTestId('head-organisation').click({ modifiers: ['Shift'] });
  await page.getByTestId('head-organisation').click({ modifiers: ['Shift'] });
  await expect(page.getByRole('columnheader', { name: /Organisation/ })).toHaveAttribute(
    'aria-sort',
    'descending',
  );
  const [towns, houses] = [await column(page, 5, 12), await column(page, 1, 12)];
  const collator = new Intl.Collator('en-GB', { numeric: true });
  for (let row = 1; row < towns.length; row += 1) {
    const byTown = collator.compare(towns[row - 1] ?? '', towns[row] ?? '');
    const [before = '', after = ''] = [houses[row - 1], houses[row]];
    const isInOrder = after === '' || (before !== '' && collator.compare(before, after) >= 0);
    expect(byTown < 0 || (byTown === 0 && isInOrder), `${towns[row]}: ${before}, ${after}`).toBe(true);
  }
  await isSaved(page);
  await page.reload();
  await isRead(page);
  expect(await column(page, 5, 12)).toEqual(towns);
});

test('a cell is written by keys alone, a fault keeps it open, and one undo takes it back', async ({
  page,
}) => {
  await openDemo(page, '/book/table');
  await page.getByTestId('grid').focus();
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight'])
    await page.keyboard.press(key);
  const cell = page.locator('#cell-1-4');
  await expect(page.getByTestId('grid')).toHaveAttribute('aria-activedescendant', 'cell-1-4');
  const before = await cell.textContent();
  await page.keyboard.type('nobody at home');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: /./ })).toHaveText(
    'A mail address looks like name@example.org',
  );
  await page.keyboard.press('Control+a');
  await page.keyboard.type('pier@example.org');
  await page.keyboard.press('Tab');
  await expect(cell).toHaveText('pier@example.org');
  await expect(page.getByTestId('grid')).toHaveAttribute('aria-activedescendant', 'cell-1-5');
  await page.keyboard.press('Control+z');
  await expect(cell).toHaveText(before ?? '');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByTestId('card-page')).toBeVisible();
});

test('cells are copied and pasted as tab-separated text; what is refused is named', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page, '/book/table');
  await page.locator('#cell-0-2').click();
  await page.locator('#cell-1-3').click({ modifiers: ['Shift'] });
  await page.keyboard.press('Control+c');
  const texts = [...(await column(page, 2, 2)), ...(await column(page, 3, 2))];
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied).toBe(`${texts[0]}\t${texts[2]}\n${texts[1]}\t${texts[3]}`);

  await page.evaluate(() => navigator.clipboard.writeText('Tenor\tno number\nAlto\t01632 960123\n'));
  await page.locator('#cell-4-2').click();
  await page.keyboard.press('Control+v');
  await expect(page.locator('#cell-5-3')).toHaveText('01632 960123');
  expect((await column(page, 2, 6)).slice(4)).toEqual(['Tenor', 'Alto']);
  await expect(page.getByRole('alert').filter({ hasText: /./ })).toContainText('1 value was not taken');
  await expect(page.getByRole('alert').filter({ hasText: /./ })).toContainText('no number');
  await page.getByTestId('grid').focus();
  await page.keyboard.press('Control+z');
  await expect(page.locator('#cell-5-2')).not.toHaveText('Alto');
});

test('columns are chosen, moved and widened, and the whole is kept as a view', async ({ page }) => {
  // All columns in view: dragging is not scrolling.
  await page.setViewportSize({ width: 1800, height: 800 });
  await openDemo(page, '/book/table');
  await page.getByTestId('table-columns').click();
  await page.getByTestId('column-birthday').click();
  await page.getByTestId('column-organisation').click();
  await page.keyboard.press('Escape');
  const titles = () =>
    page.locator('[data-testid^="head-"]').evaluateAll((all) => all.map((one) => one.textContent));
  await expect.poll(titles).toEqual(['Name', 'Post', 'Number', 'Mail', 'Town', 'Tags', 'Birthday']);
  await page.getByTestId('head-tags').dragTo(page.getByTestId('head-post'));
  await expect.poll(titles).toEqual(['Name', 'Tags', 'Post', 'Number', 'Mail', 'Town', 'Birthday']);
  await page.getByTestId('head-tags').focus();
  await page.keyboard.press('Control+ArrowRight');
  await expect.poll(titles).toEqual(['Name', 'Post', 'Tags', 'Number', 'Mail', 'Town', 'Birthday']);
  const width = async () => (await page.getByTestId('head-post').boundingBox())?.width ?? 0;
  const before = await width();
  const edge = await page.getByTestId('edge-post').boundingBox();
  if (!edge) throw new Error('the column has no edge');
  await page.mouse.move(edge.x + 5, edge.y + 10);
  await page.mouse.down();
  await page.mouse.move(edge.x + 65, edge.y + 10, { steps: 4 });
  await page.mouse.up();
  await expect.poll(width).toBeCloseTo(before + 60, -1);

  await page.getByTestId('table-views').click();
  await page.getByTestId('view-name').fill('Birthdays');
  await page.getByTestId('keep-view').click();
  await page.getByRole('button', { name: 'The default table' }).click();
  await expect.poll(async () => (await titles()).length).toBe(7);
  await expect.poll(titles).not.toContain('Birthday');
  await isSaved(page);
  await page.reload();
  await isRead(page);
  await page.getByTestId('table-views').click();
  await page.getByRole('button', { name: 'Show the view Birthdays' }).click();
  await expect.poll(titles).toContain('Birthday');
});

test('names are shown as the user wants them, everywhere at once', async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Dr Zora Mary Quast');
  await page.getByTestId('save-card').click();
  await expect(page.getByTestId('card-name')).toHaveText('Dr Zora Mary Quast');
  await isSaved(page);
  await page.goto(`${OWN}/settings`);
  await isRead(page);
  await page.getByRole('radio', { name: /Surname first/ }).click();
  await page.getByRole('radio', { name: /Given name as an initial/ }).click();
  await page.getByTestId('quick-line').fill('quast');
  await expect(page.getByRole('option', { name: /^Quast, Z\./ }).first()).toBeVisible();
  await page
    .getByRole('option', { name: /^Quast, Z\./ })
    .first()
    .click();
  await expect(page.getByTestId('card-name')).toHaveText('Quast, Z.');
  await expect(page.getByTestId('book-list')).toContainText('Quast, Z.');
});
