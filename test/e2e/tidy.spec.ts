// Tidy: cards that are the same, compared, merged, taken apart again, kept apart.
import { expect, isRead, isSaved, ONE_SIZE, openDemo, OWN, test } from './fixtures';

test('duplicates are found with reasons; all certain ones are merged with one press, and one undo', async ({
  page,
}) => {
  await openDemo(page, '/tidy');
  const certain = page.getByTestId('grade-Certain');
  await expect(certain.getByTestId('cluster').first()).toBeVisible();
  await expect(certain.getByRole('listitem', { name: /^For: same/ }).first()).toBeVisible();
  const before = await certain.getByTestId('cluster').count();
  expect(before).toBeGreaterThan(1);
  await certain.getByTestId('merge-all').click();
  await expect(certain).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(certain.getByTestId('cluster')).toHaveCount(before);
});

async function writeDuplicates(page: import('@playwright/test').Page) {
  for (const [name, mail] of [
    ['Zora Quast', 'zora@example.org'],
    ['Zora Lind Quast', 'zora@example.org'],
  ] as const) {
    await page.goto(`${OWN}/book/new`);
    await isRead(page);
    await page.getByTestId('field-name').fill(name);
    await page.getByTestId('add-emails').click();
    await page.getByTestId('mail-0').fill(mail);
    await page.getByTestId('save-card').click();
    await expect(page.getByTestId('card-name')).toBeVisible();
    await isSaved(page);
  }
  return page.url();
}

test('two cards side by side become one; the old address leads there; taken apart after a reload', async ({
  page,
}) => {
  const second = await writeDuplicates(page);
  await page.goto(`${OWN}/tidy`);
  await isRead(page);
  await page.getByTestId('compare').click();
  await expect(page.getByRole('table', { name: 'The cards side by side' })).toContainText('Zora Lind Quast');
  const preview = page.getByTestId('merge-preview');
  await expect(preview).toContainText('Zora Lind Quast');
  await page.getByRole('radio', { name: 'Zora Quast', exact: true }).click();
  await expect(preview).toContainText('name: Zora Lind Quast');
  await page.getByRole('radio', { name: 'Zora Lind Quast' }).click();
  await page.getByTestId('merge-compared').click();
  // On a phone its card is opened; beside the list the next duplicates would follow.
  await expect(page.getByTestId('merge-compared')).toHaveCount(0);
  await isSaved(page);
  await page.goto(second);
  await isRead(page);
  await expect(page.getByTestId('card-name')).toHaveText('Zora Lind Quast');
  await expect(page.getByTestId('merged-from')).toContainText('1 other card was merged');
  await page.reload();
  await isRead(page);
  await page.getByTestId('unmerge').click();
  await expect(page.getByTestId('merged-from')).toHaveCount(0);
  await isSaved(page);
  await page.goto(`${OWN}/tidy`);
  await isRead(page);
  await expect(page.getByTestId('cluster')).toContainText('Zora Lind Quast');
});

test('two cards are shown as one and kept as they are, found as one, and let go again', async ({ page }) => {
  const second = await writeDuplicates(page);
  await page.goto(`${OWN}/tidy`);
  await isRead(page);
  await page.getByTestId('compare').click();
  await expect(page.getByTestId('merge-preview')).toContainText('Zora Lind Quast');
  await page.getByTestId('bundle-compared').click();
  await expect(page.getByTestId('card-name')).toHaveText('Zora Lind Quast');
  await expect(page.getByTestId('bundled')).toContainText('Zora Quast');
  await isSaved(page);
  await page.goto(`${OWN}/book`);
  await isRead(page);
  await expect(page.locator('#book-rows').getByRole('link', { name: /^Zora/ })).toHaveCount(1);
  await page.keyboard.press('/');
  await page.keyboard.type('zora');
  await expect(page.getByRole('option', { name: /^Zora/ })).toHaveCount(1);
  await page.goto(`${OWN}/tidy`);
  await isRead(page);
  await expect(page.getByTestId('cluster')).toHaveCount(0);
  await page.goto(second);
  await isRead(page);
  const lead = page.getByTestId('bundled-hint').getByRole('link');
  if ((await lead.count()) > 0) await lead.click();
  await page.getByTestId('take-out').click();
  await expect(page.getByTestId('bundled')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('bundled')).toBeVisible();
});

test('what is kept apart stays apart, also after a reload', ONE_SIZE, async ({ page }) => {
  await writeDuplicates(page);
  await page.goto(`${OWN}/tidy`);
  await isRead(page);
  await page.getByTestId('keep-apart').click();
  await expect(page.getByTestId('cluster')).toHaveCount(0);
  await isSaved(page);
  await page.reload();
  await isRead(page);
  await expect(page.getByText('No two cards look like the same person.')).toBeVisible();
});

test('any chosen cards can be merged from the Book', ONE_SIZE, async ({ page }) => {
  await writeDuplicates(page);
  await page.goto(`${OWN}/book`);
  await isRead(page);
  await page.getByTestId('choose-several').click();
  for (const at of [0, 1]) await page.getByTestId('book-list').getByRole('checkbox').nth(at).click();
  await page.getByTestId('many-more').click();
  await page.getByTestId('many-merge').click();
  await page.getByTestId('merge-compared').click();
  await expect(page.getByTestId('card-name')).toHaveText('Zora Lind Quast');
});

test('a card that looks like another says so at once, on its own page', async ({ page }) => {
  await writeDuplicates(page);
  const hint = page.getByTestId('duplicate-hint');
  await expect(hint).toContainText('Looks like the same as Zora Quast');
  await hint.getByRole('button', { name: /^Keep apart/ }).click();
  await expect(hint).toHaveCount(0);
});

test(
  'faults of a kind are mended with one press, taken back with one, and mended singly',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/tidy');
    const kind = page.getByTestId('faults-no-country-code');
    const count = async () =>
      Number(/: (\d+)/.exec((await kind.getByRole('heading').textContent()) ?? '')?.[1]);
    await expect(kind).toBeVisible();
    const before = await count();
    await page.getByTestId('mend-all-no-country-code').click();
    await expect.poll(count).toBeLessThan(before - 5);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(count).toBe(before);
    await kind.getByTestId('mend').first().click();
    await expect.poll(count).toBe(before - 1);
  },
);
