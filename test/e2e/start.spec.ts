// What stands there while the program is read, and what stands there where it can't go on.
import { createJimp } from '@jimp/core';
import png from '@jimp/js-png';

import { expect, ONE_SIZE, openDemo, OWN, test } from './fixtures';

/** The scripts of the program, which some tests hold back. */
const PROGRAM = /\/_expo\/static\/js\/web\/(__common|index)-/;

const Picture = createJimp({ formats: [png] });

/** Values of pixels that differ by more than the edge of a thin line, which is never drawn quite the same twice. */
async function pixelsApart(one: Buffer, other: Buffer): Promise<number> {
  const [a, b] = await Promise.all([Picture.fromBuffer(one), Picture.fromBuffer(other)]);
  expect([b.width, b.height]).toEqual([a.width, a.height]);
  return a.bitmap.data.reduce(
    (sum, value, i) => sum + Number(Math.abs(value - (b.bitmap.data[i] ?? 0)) > 40),
    0,
  );
}

test.describe('a page that was there today', () => {
  for (const path of ['/today', '/book', '/lists', '/tidy'])
    test(`stands there at once, to the pixel: ${path}`, async ({ page, context }) => {
      // Cards have a clock, which must not go on between the two pictures.
      await context.clock.setFixedTime(new Date());
      await openDemo(page, path);
      await page.waitForFunction(
        () =>
          localStorage.getItem(`still:demo:${location.pathname}`) !== null &&
          document.fonts.status === 'loaded',
      );
      // On a wide screen the lists have led on to the first of them.
      const address = page.url();
      // A picture has no focus.
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      const drawn = await page.screenshot();
      // It is kept anew when the page is left, as it stands then.
      await page.evaluate(() => {
        Object.defineProperty(document, 'visibilityState', { value: 'hidden' });
        document.dispatchEvent(new Event('visibilitychange'));
      });
      await page.close();
      const again = await context.newPage();
      await again.route(PROGRAM, () => new Promise(() => undefined));
      await again.goto(address, { waitUntil: 'commit' });
      await expect(again.locator('#sketch')).toHaveAttribute('data-still');
      // Portraits and letters are drawn a moment after the lines.
      await expect.poll(async () => pixelsApart(drawn, await again.screenshot())).toBe(0);
    });

  test('is kept a little later where it could not be at first', ONE_SIZE, async ({ page }) => {
    await openDemo(page, '/today');
    await page.keyboard.press('?');
    await page.getByRole('dialog').waitFor();
    await page.waitForTimeout(3500);
    const isKept = () => page.evaluate(() => localStorage.getItem('still:demo:/today') !== null);
    expect(await isKept()).toBe(false);
    await page.keyboard.press('Escape');
    await expect.poll(isKept).toBe(true);
  });

  test('gives way to the page itself, and has nothing that can be pressed or read twice', async ({
    page,
  }) => {
    await openDemo(page, '/book');
    await page.waitForFunction(() => localStorage.getItem('still:demo:/book') !== null);
    await page.reload();
    await page.locator('[id^="row-"]').first().waitFor();
    await expect(page.locator('#sketch')).toHaveCount(0);
    await page.locator('[id^="row-"]').first().click();
    await expect(page).toHaveURL(/\/book\/.+/);
  });

  test(
    'is not kept of a page where something is being written, or of one with passphrases',
    ONE_SIZE,
    async ({ page }) => {
      for (const path of ['/book/new', '/settings', '/directory', '/write', '/devices/connect']) {
        await page.goto(OWN + path);
        await page.locator('[role="main"], main').getByRole('heading').first().waitFor();
        await page.waitForTimeout(3500);
      }
      expect(
        await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('still:'))),
      ).toEqual([]);
    },
  );
});

for (const path of ['/today', '/book', '/book/new', '/lists', '/import', '/settings'])
  test(`what is fetched ahead of ${path} is used by it, and fetched once`, ONE_SIZE, async ({ page }) => {
    // The program takes its scripts out of the page again once they have run.
    await page.addInitScript(() => {
      const seen = new Set<string>();
      Object.assign(window, { seen });
      const note = () => {
        for (const { src } of document.scripts) seen.add(src);
      };
      new MutationObserver(note).observe(document, { childList: true, subtree: true });
    });
    await openDemo(page, path);
    const ahead = await page.locator('link[rel="preload"]').evaluateAll((links: HTMLLinkElement[]) => ({
      scripts: links.filter((link) => link.as === 'script').map((link) => link.href),
      fonts: links.filter((link) => link.as === 'font').length,
    }));
    expect(ahead.fonts).toBeGreaterThan(0);
    const used = () =>
      page.evaluate(() => ({
        scripts: [...(window as unknown as { seen: Set<string> }).seen],
        fonts: [...document.fonts].filter((font) => font.status === 'loaded').length,
      }));
    await expect.poll(async () => (await used()).scripts).toEqual(expect.arrayContaining(ahead.scripts));
    await expect.poll(async () => (await used()).fonts).toBeGreaterThanOrEqual(ahead.fonts);
    const fetched = await page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .filter((entry) => (entry as PerformanceResourceTiming).initiatorType !== 'fetch')
        .map((entry) => entry.name)
        .filter((name) => /\.(js|ttf)$/.test(name)),
    );
    expect(new Set(fetched).size).toBe(fetched.length);
  });

test('an unknown address says so, and leads back', ONE_SIZE, async ({ page }) => {
  await page.goto(`${OWN}/nowhere/at/all`);
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
  await page.getByRole('button', { name: 'Go to Today' }).click();
  await expect(page).toHaveURL(/\/today$/);
});

test('nothing moves while a page comes, whatever of it is known first', async ({ context }) => {
  const shifts: Record<string, number> = {};
  for (const path of [
    ...['/today', '/today/year', '/book', '/book/c0a0d1a1-0000-4000-8a00-000000000095', '/book/table'],
    ...['/book/map', '/lists', '/tidy', '/devices', '/settings', '/write', '/import', '/directory'],
  ]) {
    const page = await context.newPage();
    await page.addInitScript(() => {
      const seen = { shift: 0 };
      Object.assign(window, { seen });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) {
          const { hadRecentInput, value } = entry as unknown as { hadRecentInput: boolean; value: number };
          if (!hadRecentInput) seen.shift += value;
        }
      }).observe({ type: 'layout-shift', buffered: true });
    });
    await openDemo(page, path);
    // What comes last is the zone of a place and what the hub says.
    await page.waitForTimeout(1500);
    shifts[path] = await page.evaluate(() => (window as unknown as { seen: { shift: number } }).seen.shift);
    await page.close();
  }
  // Layout Instability API; the aim is a fifth of what is commonly called good (0.1).
  expect(Object.entries(shifts).filter(([, shift]) => shift >= 0.02)).toEqual([]);
});
