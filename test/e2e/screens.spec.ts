import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

import { expect, find, ONE_SIZE, openDemo, test, WIDE_ONLY } from './fixtures';

/** Every screen by its address; a card stands for all of them. */
const SCREENS = [
  '/today',
  '/book',
  '/book/c0a0d1a1-0000-4000-8a00-000000000003',
  '/book/c0a0d1a1-0000-4000-8b00-000000000001',
  '/book/c0a0d1a1-0000-4000-8a00-000000000003/edit',
  '/book/new',
  '/book/table',
  '/book/map',
  '/import',
  '/settings',
  '/lists',
  '/lists/c0a0d1a1-0000-4000-8d00-000000000006',
  '/lists/c0a0d1a1-0000-4000-8d00-000000000007',
  '/tidy',
  '/import/text',
  '/devices',
  '/devices/connect',
  '/write',
  '/write?by=letter',
  '/directory',
  '/book/nobody',
];

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** The rules whose answer hangs on colours: all that can differ between the light scheme and the dark one. */
const COLOUR_RULES = ['color-contrast', 'link-in-text-block'];

/** What axe finds wrong, a line each. */
async function faultsOf(page: Page, part = 'html', rules?: string[]): Promise<string[]> {
  // There are no frames; its other mode opens a second page for each look, which takes longer than looking.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).include(part);
  const { violations } = await (rules === undefined ? axe.withTags(TAGS) : axe.withRules(rules)).analyze();
  return violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .map(({ html }) => html.slice(0, 160))
        .slice(0, 3)
        .join(' | ')}`,
  );
}

/** What reaches beyond the right edge of the window. */
function overTheEdge(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const limit = document.documentElement.clientWidth;
    return (
      [...document.querySelectorAll('#root *')]
        // The table and the strip of days scroll by themselves.
        .filter((element) => element.closest('[role=grid], [data-testid=almanac]') === null)
        .filter((element) => element.getBoundingClientRect().right > limit + 1 && element.textContent)
        .map((element) => element.textContent?.slice(0, 60) ?? '')
    );
  });
}

/** What is too small for a finger: under 44 px, by look.md. */
function tooSmall(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [
      ...document.querySelectorAll(
        'a, button, [role=button], [role=radio], [role=switch], [role=checkbox], input',
      ),
    ]
      // The thumb index is one tall target that is slid along; its letters are not aimed at one by one.
      .filter((element) => element.closest('[aria-label="Letters"]') === null)
      .filter((element) => getComputedStyle(element).visibility === 'visible')
      .map((element) => ({
        name: element.getAttribute('aria-label') ?? element.textContent,
        box: element.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.width > 0 && (box.height < 43.5 || box.width < 43.5))
      .map(({ name, box }) => `${name} ${Math.round(box.width)}×${Math.round(box.height)}`),
  );
}

/** What a wide screen puts beside each other: these are looked at by the checker at that size too; the others are one column. */
const WIDE_SCREENS = new Set([
  '/today',
  '/book/c0a0d1a1-0000-4000-8a00-000000000003',
  '/book/table',
  '/book/map',
  '/lists/c0a0d1a1-0000-4000-8d00-000000000006',
  '/devices',
]);

for (const path of SCREENS) {
  test(`${path} is accessible, light and dark, and nothing is cut off or too small`, async ({
    page,
    viewport,
  }) => {
    const isPhone = (viewport?.width ?? 0) < 900;
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await openDemo(page, path);
    await page.getByRole('main').getByRole('heading', { level: 1 }).first().waitFor();
    if (isPhone || WIDE_SCREENS.has(path)) {
      expect.soft(await faultsOf(page), 'light').toEqual([]);
      // A browser without a window now and then draws nothing for a change of scheme, and says nothing of it then.
      await expect(async () => {
        for (const colorScheme of ['light', 'dark'] as const)
          await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
        await expect(page.locator('html')).toHaveClass(/dark/, { timeout: 3000 });
      }).toPass({ timeout: 60_000 });
      expect.soft(await faultsOf(page, 'html', COLOUR_RULES), 'dark').toEqual([]);
    }
    for (const width of isPhone ? [390, 360] : [1280, 1600, 900]) {
      await page.setViewportSize({ width, height: 800 });
      // The page lays itself out anew once it has heard of the other width.
      await expect.poll(() => overTheEdge(page), `over the edge at ${width} px`).toEqual([]);
      if (isPhone) expect.soft(await tooSmall(page), `too small at ${width} px`).toEqual([]);
    }
  });
}

test('an open sheet and open finds have no fault of accessibility either', ONE_SIZE, async ({ page }) => {
  await openDemo(page);
  await page.getByTestId('quick-line').fill('lin');
  await page.getByRole('option').first().waitFor();
  expect.soft(await faultsOf(page, '[role=search]')).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Order/ }).click();
  await page.getByRole('dialog').waitFor();
  expect.soft(await faultsOf(page, '[role=dialog]')).toEqual([]);
});

test(
  'choosing several, its sheets, the rule editor and the quick line’s help have no fault of accessibility',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/book');
    await page.getByTestId('choose-several').click();
    await page.getByTestId('book-list').getByRole('checkbox').first().click();
    await page.getByTestId('many-more').waitFor();
    expect.soft(await faultsOf(page), 'choosing').toEqual([]);
    for (const sheet of ['lists', 'tags', 'send', 'more']) {
      await page.getByTestId(`many-${sheet}`).click();
      await page.getByRole('dialog').waitFor();
      expect.soft(await faultsOf(page, '[role=dialog]'), sheet).toEqual([]);
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
    await page.getByTestId('choosing-done').click();
    await page.getByTestId('quick-line').fill('ada lowther #choir');
    await page.getByRole('option', { name: /^Add to/ }).waitFor();
    expect.soft(await faultsOf(page, '[role=search]'), 'an offer').toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByTestId('quick-help').click();
    await page.getByTestId('help-Do').waitFor();
    expect.soft(await faultsOf(page, '[role=dialog]'), 'help').toEqual([]);
    await page.keyboard.press('Escape');
    await openDemo(page, '/lists/c0a0d1a1-0000-4000-8d00-000000000007');
    await page.getByTestId('add-condition').first().click();
    await page.getByTestId('test-value').waitFor();
    expect.soft(await faultsOf(page, '[role=dialog]'), 'condition').toEqual([]);
  },
);

test(
  'the sheets and steps of sending, adding, matching and restoring have no fault of accessibility',
  ONE_SIZE,
  async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await openDemo(page, '/book/c0a0d1a1-0000-4000-8a00-000000000003');
    await page.getByTestId('send-card').click();
    await page.getByTestId('send-sheet').waitFor();
    expect.soft(await faultsOf(page, '[role=dialog]'), 'sending').toEqual([]);
    await openDemo(page, '/book/new');
    await page.getByTestId('add-part').click();
    await page.getByTestId('add-part-filter').waitFor();
    expect.soft(await faultsOf(page, '[role=dialog]'), 'adding').toEqual([]);
    await page.getByTestId('add-part-parts').click();
    for (const part of [
      'pronouns',
      'accounts',
      'relations',
      'infos',
      'languages',
      'timeZone',
      'tags',
      'ownFields',
      'keys',
    ]) {
      await page.getByTestId('add-part').click();
      await page.getByTestId(`add-part-${part}`).click();
    }
    await page.getByTestId('keys-0').waitFor();
    expect.soft(await faultsOf(page), 'a full form').toEqual([]);
    expect.soft(await overTheEdge(page), 'a full form').toEqual([]);
    await openDemo(page, '/import');
    await page.getByTestId('paste-text').click();
    await page.getByTestId('import-text').fill('Vorname;Handy;Rang\nAda;+49 160 1234567;3\n');
    await page.getByTestId('read-text').click();
    await page.getByTestId('import-mapping').waitFor();
    expect.soft(await faultsOf(page), 'matching').toEqual([]);
    await page.getByRole('button', { name: /^Rang:/ }).click();
    await page.getByRole('dialog').waitFor();
    expect.soft(await faultsOf(page, '[role=dialog]'), 'choosing a column').toEqual([]);
  },
);

test(
  'the book is found through, opened, edited and left by the keyboard alone',
  WIDE_ONLY,
  async ({ page }) => {
    await openDemo(page);
    await page.keyboard.press('/');
    await expect(page.getByTestId('quick-line')).toBeFocused();
    await page.keyboard.type('delph');
    await page.getByRole('option').first().waitFor();
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('card-name')).toHaveText('Delphine Ames');
    await page.keyboard.press('e');
    await page.getByTestId('card-editor').waitFor();
    await page.getByTestId('field-nickname').focus();
    await page.keyboard.type('Della');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByTestId('card-page')).toContainText('Della');
    await page.keyboard.press('Escape');
    await expect(page).toHaveURL(/\/book$/);
    // The focus is back on the row, and arrow keys go on from there.
    await expect(page.getByRole('link', { name: /^Delphine Ames/ })).toBeFocused();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('link', { name: /^Priya Ames/ })).toBeFocused();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog')).toContainText('Go to the quick line');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  },
);

test('arrow keys walk through the rows, to the last of the book and back', WIDE_ONLY, async ({ page }) => {
  await openDemo(page);
  const rows = page.getByTestId('book-list').getByRole('link');
  await rows.first().focus();
  const first = await rows.first().getAttribute('aria-label');
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(1)).toBeFocused();
  await page.keyboard.press('End');
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.getAttribute('aria-label')))
    .not.toBe(first);
  await page.keyboard.press('Home');
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.getAttribute('aria-label')))
    .toBe(first);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('card-page')).toBeVisible();
});

test('a letter of the thumb index leads to its names', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('navigation', { name: 'Letters' }).getByRole('button', { name: /^S,/ }).click();
  await expect(
    page.getByTestId('book-list').getByRole('heading', { name: 'S', exact: true }),
  ).toBeInViewport();
});

test('sliding along the thumb index goes through the letters', ONE_SIZE, async ({ page }) => {
  await openDemo(page);
  const letters = page.getByRole('navigation', { name: 'Letters' });
  const centreOf = async (letter: RegExp) => {
    const box = await letters.getByRole('button', { name: letter }).boundingBox();
    return [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2] as const;
  };
  await page.mouse.move(...(await centreOf(/^B,/)));
  await page.mouse.down();
  await page.mouse.move(...(await centreOf(/^K,/)), { steps: 12 });
  const headings = page.getByTestId('book-list');
  await expect(headings.getByRole('heading', { name: 'K', exact: true })).toBeInViewport();
  await page.mouse.move(...(await centreOf(/^S,/)), { steps: 12 });
  await expect(headings.getByRole('heading', { name: 'S', exact: true })).toBeInViewport();
  await page.mouse.up();
});

test('the address names what is open, and back goes back', async ({ page, viewport }) => {
  await openDemo(page);
  await find(page, 'ames', /Delphine Ames/);
  await expect(page).toHaveURL(/\/book\/[0-9a-f-]{36}$/);
  await page.goBack();
  await expect(page).toHaveURL(/\/book$/);
  await expect(page.getByTestId('book-list')).toBeVisible();
  if ((viewport?.width ?? 0) < 900) await expect(page.getByTestId('card-page')).toHaveCount(0);
});

test('the order and the colours are set, at once and for good', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/settings');
  await page.getByRole('radio', { name: 'Dark' }).click();
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.getByRole('radio', { name: 'Given name, then surname' }).first().click();
  await page.waitForFunction(() => document.documentElement.dataset['saving'] === 'saved');
  await page.reload();
  await expect(page.locator('html')).toHaveClass(/dark/);
  await openDemo(page, '/book');
  await expect(page.getByRole('button', { name: 'Order: given name' })).toBeVisible();
});
