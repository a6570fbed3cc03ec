// The common directory: made by whoever has the book, kept by an editor, looked up by a reader, copied into the Book.
import { readFile } from 'node:fs/promises';

import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

import { expect, isRead, isSaved, ONE_SIZE, test } from './fixtures';
import { startHub } from './ownHub';

const PASSPHRASE = 'harbour lights at nine';

async function enter(page: Page, name: string): Promise<void> {
  await page.getByTestId('directory-name').fill(name);
  await page.getByTestId('directory-passphrase').fill(PASSPHRASE);
  await page.getByTestId('directory-enter').click();
  await expect(page.getByTestId('signed-in')).toContainText(name);
}

test(
  'a directory is made, filled by hand and from a table, given to a reader, looked up and copied from',
  ONE_SIZE,
  async ({ page }) => {
    const hub = await startHub();
    try {
      await page.goto(`${hub.url}/devices`);
      await isRead(page);
      await page.getByTestId('pair-code').fill(hub.code);
      await page.getByTestId('pair-now').click();
      await page.getByTestId('in-step').first().waitFor();
      await page.getByTestId('to-directory').click();
      await enter(page, 'Director');
      await page.getByTestId('new-entry').click();
      await page.getByTestId('entry-name').fill('Zora Quast');
      await page.getByTestId('entry-organisation').fill('Quay Strings');
      await page.getByTestId('entry-mail').fill('zora@quay.example');
      await page.getByTestId('save-entry').click();
      await expect(page.getByTestId('entries')).toContainText('Zora Quast');
      await page.getByTestId('take-in').click();
      await page
        .getByTestId('take-in-text')
        .fill('Name,E-mail,Company\nAda Lowther,ada@example.org,Brine & Bellows\nBo Ek,bo@example.org,\n');
      await page.getByTestId('take-in-look').click();
      await expect(page.getByTestId('take-in-preview')).toContainText('2 new: Ada Lowther, Bo Ek');
      await page.getByTestId('take-in-now').click();
      await expect(page.getByTestId('entries')).toContainText('Bo Ek');
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(violations).toEqual([]);
      await page.getByRole('link', { name: /^Bo Ek/ }).click();
      await page.getByTestId('edit-entry').click();
      await page.getByTestId('entry-hidden').click();
      await page.getByTestId('save-entry').click();
      await expect(page.getByTestId('entries')).toContainText('hidden');
      const download = page.waitForEvent('download');
      await page.getByTestId('save-ldif').click();
      const ldif = await readFile(await (await download).path(), 'utf8');
      expect(ldif).toMatch(/^version: 1\n/);
      expect(ldif.match(/^dn: /gm)).toHaveLength(3);
      await page.getByRole('radio', { name: 'Access' }).click();
      await page.getByTestId('user-name').fill('Reader');
      await page.getByTestId('user-passphrase').fill(PASSPHRASE);
      await page.getByTestId('add-user').click();
      await expect(page.getByTestId('users')).toContainText('reader since');
      await page.getByRole('radio', { name: 'Log' }).click();
      await expect(page.getByTestId('directory-log')).toContainText('Gave Reader access as reader');
      await page.getByTestId('sign-out').click();
      await enter(page, 'Reader');
      await expect(page.getByTestId('entries')).not.toContainText('Bo Ek');
      await expect(page.getByTestId('new-entry')).toHaveCount(0);
      await page.getByTestId('directory-query').fill('bellows');
      await expect(page.getByTestId('entries').getByRole('link')).toHaveCount(1);
      await page.getByRole('link', { name: /^Ada Lowther/ }).click();
      await page.getByTestId('copy-entry').click();
      await expect(page.getByText('Copied Ada Lowther into the Book')).toBeVisible();
      await isSaved(page);
      // While writing, the directory completes what is typed too.
      await page.goto(`${hub.url}/write`);
      await isRead(page);
      await page.getByTestId('write-to').fill('quast');
      await page.getByRole('button', { name: 'Write to Zora Quast of the directory' }).click();
      await expect(page.getByTestId('place-to')).toContainText('Zora Quast');
      // And the line finds them, as rows of their own.
      await page.getByTestId('quick-line').fill('quast');
      await page.getByRole('option', { name: /Zora Quast.*In the directory/ }).click();
      await expect(page.getByTestId('entry')).toContainText('zora@quay.example');
      // What changes in the directory is news of whoever was copied from it.
      await isSaved(page);
      await page.goto(`${hub.url}/directory`);
      await isRead(page);
      await page.getByTestId('sign-out').click();
      await enter(page, 'Director');
      await page.getByRole('link', { name: /^Ada Lowther/ }).click();
      await page.getByTestId('edit-entry').click();
      await page.getByLabel('Post').fill('Harbour master');
      await page.getByTestId('save-entry').click();
      await expect(page.getByText('Ada Lowther is in the directory')).toBeVisible();
      await page.goto(`${hub.url}/today`);
      await isRead(page);
      await expect(page.getByTestId('news')).toContainText('Harbour master');
      await page
        .getByTestId('news')
        .getByRole('button', { name: /Harbour master$/ })
        .first()
        .click();
      await expect(page.getByTestId('news')).toContainText('seen in the directory');
    } finally {
      // The page listens to the hub; cut off, it would complain.
      await page.goto('about:blank');
      await hub.stop();
    }
  },
);
