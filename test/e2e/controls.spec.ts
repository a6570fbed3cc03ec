// What keyboards and screen readers need beyond what the checker sees: WCAG 2.2 and the WAI-ARIA Authoring Practices.
import { expect, isRead, isSaved, ONE_SIZE, openDemo, OWN, test, WIDE_ONLY } from './fixtures';

test('a sheet is closed by its Close, by Escape and by the browser’s back, and keeps the keys to itself', async ({
  page,
}) => {
  await openDemo(page, '/book');
  await page.goto(`${new URL(page.url()).origin}/today`);
  await isRead(page);
  const sheet = page.getByRole('dialog');
  const open = () => page.getByTestId('meeting-likely').first().click();
  await open();
  await sheet.getByTestId('close-sheet').click();
  await expect(sheet).toHaveCount(0);
  await open();
  await page.keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
  await open();
  await expect(sheet).toBeVisible();
  await page.goBack();
  await expect(sheet).toHaveCount(0);
  await expect(page).toHaveURL(/\/today$/);
  await page.goBack();
  await expect(page).toHaveURL(/\/book$/);
  await page.goForward();
  await isRead(page);
  await open();
  await sheet.getByTestId('close-sheet').focus();
  await page.keyboard.press('n');
  await page.keyboard.press('?');
  await expect(sheet).toHaveCount(1);
  await expect(page).toHaveURL(/\/today$/);
});

test(
  'Space turns what can be turned on, arrows go through what can be chosen',
  ONE_SIZE,
  async ({ page }) => {
    await page.goto(`${OWN}/settings`);
    await isRead(page);
    const keys = page.getByRole('switch', { name: /Keys by themselves/ });
    await expect(keys).toHaveAttribute('aria-checked', 'true');
    await keys.focus();
    await page.keyboard.press('Space');
    await expect(keys).toHaveAttribute('aria-checked', 'false');
    // Off: a letter alone does nothing, wherever it is pressed.
    await page.keyboard.press('n');
    await page.keyboard.press('/');
    await expect(page).toHaveURL(/\/settings$/);
    await expect(page.getByTestId('quick-line')).not.toBeFocused();
    await page.keyboard.press('Space');
    await page.keyboard.press('/');
    await expect(page.getByTestId('quick-line')).toBeFocused();
    const sizes = page.getByRole('radiogroup', { name: 'Size of type' });
    const chosen = sizes.getByRole('radio', { checked: true });
    const first = await chosen.textContent();
    await chosen.focus();
    await page.keyboard.press('ArrowDown');
    await expect(chosen).not.toHaveText(first ?? '');
    await expect(chosen).toBeFocused();
    await page.keyboard.press('ArrowUp');
    await expect(chosen).toHaveText(first ?? '');
    // The Tab key stops at one of them.
    await expect(sizes.locator('[tabindex="0"]')).toHaveCount(1);
    await isSaved(page);
  },
);

test(
  'the first Tab leads past the places to the page, and a page that is come to takes the focus',
  WIDE_ONLY,
  async ({ page }) => {
    await openDemo(page, '/today');
    await page.getByTestId('card-pane').waitFor();
    await page.keyboard.press('Tab');
    await expect(page.getByTestId('skip-link')).toBeFocused();
    await expect(page.getByTestId('skip-link')).toBeInViewport();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
    const places = page.getByRole('navigation', { name: 'Places' });
    for (const [place, title] of [
      ['Book', /./],
      ['Tidy', /Tidy/],
      ['Today', /Today/],
    ] as const) {
      await places.getByRole('link', { name: place }).click();
      await expect(page.locator('#page :focus, #page:focus')).toHaveCount(1);
      await expect(page.locator('h1, [aria-level="1"]').first()).toHaveText(title);
    }
  },
);

test('what has happened is said in a region that was there before', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/today');
  // Found before there is anything in it, so that its change is what is read out.
  const region = await page.locator('[role="status"]').last().elementHandle();
  const row = page.getByTestId('part-Greetings').getByTestId('day-row').first();
  await row.getByRole('button').first().click();
  await row.getByTestId('greeted').click();
  await expect(page.getByTestId('notice')).toBeVisible();
  expect(await region?.evaluate((element) => element.textContent)).toContain('Greeted');
});

test('arrows walk the rows of the day, Enter opens one in place, Escape closes it', async ({ page }) => {
  await openDemo(page, '/today');
  const rows = page.locator('[id^="day-"]');
  await rows.first().waitFor();
  await page.keyboard.press('ArrowDown');
  await expect(rows.first()).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(1)).toBeFocused();
  const name = ((await rows.nth(1).getAttribute('aria-label')) ?? '').split(',')[0] ?? '';
  // On a wide screen the card beside is that of the row.
  if ((page.viewportSize()?.width ?? 0) >= 900)
    await expect(page.getByTestId('card-pane').getByTestId('card-name')).toHaveText(name);
  await page.keyboard.press('Enter');
  await expect(rows.nth(1)).toHaveAttribute('aria-expanded', 'true');
  await expect(page.getByTestId('day-row-open')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('day-row-open')).toHaveCount(0);
  await expect(rows.nth(1)).toBeFocused();
});

test('what no bar leads to on a phone is two presses away from everywhere', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/tidy');
  for (const [name, path] of [
    ['Import', '/import'],
    ['Write', '/write'],
    ['Directory', '/directory'],
    ['Settings', '/settings'],
  ] as const) {
    await page.getByTestId('quick-line').click();
    await page.getByRole('option', { name: new RegExp(`^${name}`) }).click();
    await expect(page).toHaveURL(new RegExp(`${path}$`));
  }
});

test('a day of many people fits in two screens of a phone', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/today');
  const rows = page.getByTestId('day-row');
  await expect.poll(() => rows.count()).toBeGreaterThan(20);
  const more = page.getByRole('button', { name: /: \d+ more$/ });
  while ((await more.count()) > 0) await more.first().click();
  const people = await rows.count();
  const { height, screen } = await page.getByTestId('today-page').evaluate((element) => ({
    height: element.scrollHeight,
    screen: window.innerHeight,
  }));
  // 25 people in two screens; more take the room of more.
  expect(height / people).toBeLessThan((2 * screen) / 25);
});
