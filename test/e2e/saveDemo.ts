import { chromium, type FullConfig } from '@playwright/test';

import { DEMO, DEMO_STATE, isRead, isSaved } from './fixtures';

/**
 * Opens the demo once and keeps what it has put into the browser's store. A test that begins with it reads a book that is
 * there, as every start but the first does, instead of making one and importing its mail anew.
 */
export default async function saveDemo({ projects }: FullConfig): Promise<void> {
  const browser = await chromium.launch(projects[0]?.use.launchOptions);
  const context = await browser.newContext({ locale: 'en-GB', timezoneId: 'Europe/London' });
  const page = await context.newPage();
  await page.goto(`${DEMO}/today`);
  await isRead(page);
  // What signatures in the mail say is looked for afterwards.
  await page.getByTestId('news').waitFor();
  // What is said on first opening has been read.
  await page.getByTestId('demo-hint').getByRole('button').click();
  await isSaved(page);
  await context.storageState({ path: DEMO_STATE, indexedDB: true });
  await browser.close();
}
