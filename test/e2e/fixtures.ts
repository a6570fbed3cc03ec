import { expect, type Page, test as base } from '@playwright/test';

/** The hub with the demo's book, and the one with an empty book. */
export const DEMO = 'http://127.0.0.1:4881';
export const OWN = 'http://127.0.0.1:4882';

/** The store of a browser that has opened the demo once; see saveDemo.ts. */
export const DEMO_STATE = 'test-results/demo-state.json';

/** For a test of what happens, not of how it is laid out: tried at the phone's size only. */
export const ONE_SIZE = { tag: '@one-size' };
/** For a test of keys, which belong to a wide screen. */
export const WIDE_ONLY = { tag: '@wide-only' };

/**
 * What the browser says where a page takes more than some seconds, as on a machine that does much else.
 * Whether all that is fetched ahead is used is tried by itself, without a clock; see start.spec.ts.
 */
const IS_LATE = /was preloaded using link preload but not used within a few seconds/;

/** Every test fails on an error or a warning in the browser's console, wherever it comes from. */
export const test = base.extend<{ console: string[] }>({
  console: [
    async ({ context }, use) => {
      const lines: string[] = [];
      context.on('console', (message) => {
        if (['error', 'warning'].includes(message.type()) && !IS_LATE.test(message.text()))
          lines.push(message.text());
      });
      context.on('weberror', (error) => lines.push(error.error().stack ?? error.error().message));
      await use(lines);
      if (lines.length > 0) throw new Error(`the console said:\n${lines.join('\n')}`);
    },
    { auto: true },
  ],
});
export { expect };

/** Opens a page of the demo and waits until its book has been read. */
export async function openDemo(page: Page, path = '/book'): Promise<void> {
  await page.goto(DEMO + path);
  await isRead(page);
}

/** Waits until all cards have been read from the store. */
export async function isRead(page: Page): Promise<void> {
  await page.waitForFunction(() => document.documentElement.dataset['book'] === 'read');
}

/** Waits until the page says that everything is in the store. */
export async function isSaved(page: Page): Promise<void> {
  await page.waitForFunction(() => document.documentElement.dataset['saving'] === 'saved');
}

/** Turns to the details of an open card, where there is no room for them beside its talks. */
export async function showDetails(page: Page): Promise<void> {
  await page.getByTestId('reach-row').waitFor();
  const tab = page.getByRole('radio', { name: 'Details' });
  // A pane with the card may still be giving way to its page, which has room for both and no tabs.
  await expect(async () => {
    if ((await tab.count()) > 0) await tab.click({ timeout: 2000 });
  }).toPass();
}

/** Types into the quick line and opens the first that is found. */
export async function find(page: Page, text: string, name: RegExp): Promise<void> {
  await page.getByTestId('quick-line').fill(text);
  await page.getByRole('option', { name }).first().click();
}

/** Fills the form of a new card with a name and a number, and saves it; then it is in the store as well. */
export async function addCard(page: Page, name: string, number?: string): Promise<void> {
  await page.getByTestId('field-name').fill(name);
  if (number !== undefined) {
    await page.getByTestId('add-phones').click();
    await page.getByTestId('phone-0').fill(number);
  }
  await page.getByTestId('save-card').click();
  await page.getByTestId('card-page').waitFor();
  await isSaved(page);
}
