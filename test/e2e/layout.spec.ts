// The card layout, the one address for letters, the page to print.
import { addCard, expect, isRead, isSaved, ONE_SIZE, openDemo, OWN, test, WIDE_ONLY } from './fixtures';

test('the card layout is put in order by arrows and by dragging, and a new card follows it', async ({
  page,
}, { project }) => {
  await page.goto(`${OWN}/settings`);
  await isRead(page);
  const lines = page.locator('[data-testid^="layout-"][role="checkbox"][aria-checked="true"]');
  const order = () =>
    lines.evaluateAll((all) => all.map((one) => one.getAttribute('data-testid')?.replace('layout-', '')));
  await expect.poll(async () => (await order()).slice(0, 3)).toEqual(['work', 'nickname', 'phones']);
  await page.getByTestId('layout-up-phones').click();
  await page.getByTestId('layout-up-phones').click();
  await expect.poll(async () => (await order()).slice(0, 3)).toEqual(['phones', 'work', 'nickname']);
  if (project.name === 'wide') {
    await page.getByTestId('layout-nickname').dragTo(page.getByTestId('layout-phones'));
    await expect.poll(async () => (await order()).slice(0, 3)).toEqual(['nickname', 'phones', 'work']);
  }
  await page.getByTestId('layout-work').click();
  await page.getByTestId('layout-timeZone').click();
  await isSaved(page);
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await expect(page.getByTestId('add-phones')).toBeVisible();
  await expect(page.getByTestId('field-timeZone')).toBeVisible();
  await expect(page.getByTestId('field-organization')).toHaveCount(0);
});

test('only one address of a card is the one for letters', ONE_SIZE, async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Bo Ek');
  for (const at of [0, 1]) {
    await page.getByTestId('add-addresses').click();
    await page.getByTestId(`street-${at}`).fill(`${at + 1} Pier Road`);
    await page.getByTestId(`label-addresses.${at}`).click();
    await page.getByRole('switch', { name: /Post address/ }).click();
    await page.getByTestId('label-done').click();
  }
  await expect(page.getByTestId('label-addresses.0')).toHaveText('work');
  await expect(page.getByTestId('label-addresses.1')).toHaveText('work, post');
  await page.getByTestId('save-card').click();
  await expect(page.getByRole('link', { name: /Address, 2 Pier Road, work post/ })).toBeVisible();
});

test(
  'a card is printed as a page of its own, without what is true today only',
  ONE_SIZE,
  async ({ page }) => {
    await page.addInitScript(() => {
      window.print = () => undefined;
    });
    await openDemo(page, '/book/new');
    await addCard(page, 'Zelda Quast', '01632 960983');
    await page.getByTestId('send-card').click();
    await page.getByTestId('send-print').click();
    const printed = page.frameLocator('iframe[title="Page to print"]');
    await expect(printed.locator('h1')).toHaveText('Zelda Quast');
    await expect(printed.locator('dl')).toContainText('01632 960983');
    const box = await printed.locator('article').boundingBox();
    expect(box?.width).toBeGreaterThan(400);
  },
);

test(
  'the edge between a list and what is chosen is dragged, moved by keys, and remembered',
  WIDE_ONLY,
  async ({ page }) => {
    await openDemo(page, '/book');
    const edge = page.getByRole('separator', { name: /^Width of the list/ });
    const width = async () => Number(await edge.getAttribute('aria-valuenow'));
    const before = await width();
    const box = await edge.boundingBox();
    if (!box) throw new Error('there is no edge');
    await page.mouse.move(box.x + box.width / 2, 400);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 100, 400, { steps: 5 });
    await page.mouse.up();
    expect(await width()).toBeGreaterThan(before + 80);
    await edge.press('ArrowLeft');
    const kept = await width();
    await page.reload();
    await isRead(page);
    expect(await width()).toBe(kept);
    await edge.press('Enter');
    expect(await width()).toBe(before);
  },
);

test('duplicates are compared beside their list, and the next one follows', WIDE_ONLY, async ({ page }) => {
  await openDemo(page, '/tidy');
  const pane = page.getByTestId('compare-pane');
  await expect(pane.getByRole('table')).toBeVisible();
  const second = page.getByTestId('cluster').nth(1);
  const name = (await second.innerText()).split(' · ')[0] ?? '';
  await second.getByTestId('compare').click();
  await expect(pane).toContainText(name);
  await expect(page).toHaveURL(/\/tidy$/);
  await pane.getByTestId('apart-compared').click();
  await expect(pane).not.toContainText(name);
});
