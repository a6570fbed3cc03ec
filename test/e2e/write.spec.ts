import { readFile } from 'node:fs/promises';

import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import PostalMime from 'postal-mime';

import { DEMO, expect, isRead, isSaved, ONE_SIZE, openDemo, test } from './fixtures';

test('a list opens into its people; one is taken off, one moved to copy, nobody twice; the file is what was written', async ({
  page,
}) => {
  await openDemo(page, '/lists');
  await page.getByRole('link', { name: /^Patrons/ }).click();
  await page.getByTestId('write-list').click();
  const to = page.getByTestId('place-to').getByRole('button');
  await expect(to.nth(3)).toBeVisible();
  const count = await to.count();
  // The same list once more brings nobody twice.
  await page.getByTestId('write-to').fill('Patrons');
  await page.getByRole('button', { name: 'Write to Patrons' }).click();
  await expect(to).toHaveCount(count);
  await to.first().click();
  await page.getByRole('radio', { name: 'Leave out of this message' }).click();
  await to.first().click();
  await page.getByRole('radio', { name: /^Cc/ }).click();
  await expect(page.getByTestId('place-cc').getByRole('button')).toHaveCount(1);
  await expect(page.getByTestId('place-off').getByRole('button')).toHaveCount(1);
  await page.getByTestId('mail-subject').fill('Season opening – Żółw');
  await page.getByTestId('mail-body').fill('Dear friends,\n\nit begins on the 12th.');
  await page.getByTestId('open-attach').click();
  await page.getByTestId('attach-card').fill('ada lowther');
  await page.getByRole('button', { name: 'Attach Ada Lowther' }).click();
  await expect(page.getByTestId('attached')).toContainText('Ada Lowther, as a card');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations).toEqual([]);
  const download = page.waitForEvent('download');
  await page.getByTestId('mail-save').click();
  const file = await (await download).path();
  const mail = await PostalMime.parse(await readFile(file));
  expect([mail.subject, mail.to?.length, mail.cc?.length]).toEqual(['Season opening – Żółw', count - 2, 1]);
  expect(mail.attachments.map(({ filename, mimeType }) => [filename, mimeType])).toEqual([
    ['Ada-Lowther.vcf', 'text/vcard'],
  ]);
  // What was written is there after a reload.
  await isSaved(page);
  await page.reload();
  await isRead(page);
  await expect(page.getByTestId('mail-subject')).toHaveValue('Season opening – Żółw');
  await expect(page.getByTestId('place-cc').getByRole('button')).toHaveCount(1);
});

test(
  'a message to each is filled from the card, says what is missing, and becomes one talk of each',
  ONE_SIZE,
  async ({ page }) => {
    await page.goto(`${DEMO}/write`);
    await isRead(page);
    await page.getByTestId('write-to').fill('ada lowther');
    await page.getByRole('button', { name: 'Write to Ada Lowther' }).first().click();
    // By keys alone, faster than anything is found: Enter means what was typed.
    await page.getByTestId('write-to').focus();
    await page.keyboard.type('box@example.org');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('place-to').getByRole('button')).toHaveCount(2);
    await expect(page.getByTestId('write-to')).toBeFocused();
    await page.getByTestId('mail-subject').fill('For {given}');
    await page.getByTestId('mail-body').fill('Dear {given},');
    // What comes from each card can only go to each; whoever wants one to all is told that nothing is filled in.
    const each = page.getByTestId('mail-each');
    await expect(each).toHaveAttribute('aria-checked', 'true');
    await each.click();
    await expect(page.getByTestId('out')).toContainText('gets a message of their own');
    await each.click();
    await expect(page.getByTestId('mail-preview')).toContainText('Dear Ada,');
    await expect(page.getByTestId('missing')).toContainText('given');
    const download = page.waitForEvent('download');
    await page.getByTestId('mail-save').click();
    expect((await download).suggestedFilename()).toMatch(/\.zip$/);
    await page.getByTestId('mail-note').click();
    await expect(page.getByText('Noted a mail to somebody')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
  },
);

async function addressTo(page: Page, ...names: readonly string[]): Promise<void> {
  for (const name of names) {
    await page.getByTestId('write-to').fill(name);
    await page
      .getByRole('button', { name: `Write to ${name}` })
      .first()
      .click();
  }
}

test('people are moved by dragging and by the arrow keys, and a message is laid aside and gone on with', async ({
  page,
}) => {
  await page.goto(`${DEMO}/write`);
  await isRead(page);
  await addressTo(page, 'Ada Lowther', 'Maëlle Dessange');
  // Everybody with a tag, and everybody whom a search finds, whoever is there already once.
  await page.getByTestId('write-to').fill('#press');
  await page.getByRole('button', { name: 'Write to everybody tagged press' }).click();
  await expect.poll(() => page.getByTestId('place-to').getByRole('button').count()).toBeGreaterThan(3);
  await page.getByTestId('mail-anew').click();
  await addressTo(page, 'Ada Lowther', 'Maëlle Dessange');
  const chip = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}, `) });
  await chip('Ada Lowther').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('place-cc').getByRole('button')).toHaveCount(1);
  // Whoever moves somebody by keys stays on them.
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('place-bcc').getByRole('button')).toHaveCount(1);
  // By touch nothing is dragged: there a press on somebody asks where to.
  if (test.info().project.name === 'phone') {
    await chip('Maëlle Dessange').click();
    await page.getByRole('radio', { name: /^Bcc/ }).click();
  } else await chip('Maëlle Dessange').dragTo(page.getByTestId('place-bcc'));
  await expect(page.getByTestId('place-bcc').getByRole('button')).toHaveCount(2);
  await page.getByTestId('mail-subject').fill('Laid aside');
  await page.getByTestId('mail-anew').click();
  await expect(page.getByTestId('mail-subject')).toHaveValue('');
  await page.getByTestId('open-drafts').click();
  await page.getByTestId('draft').filter({ hasText: 'Laid aside' }).click();
  await expect(page.getByTestId('mail-subject')).toHaveValue('Laid aside');
  await expect(page.getByTestId('place-bcc').getByRole('button')).toHaveCount(2);
});

test(
  'a signature’s news stands on Today, and is taken over with one press that can be taken back',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/today');
    const news = page.getByTestId('news');
    await expect(news).toBeVisible();
    const first = await news.getByTestId('accept-news').count();
    await news.getByTestId('accept-news').first().click();
    await expect(news.getByTestId('accept-news')).toHaveCount(first - 1);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(news.getByTestId('accept-news')).toHaveCount(first);
    await news.getByTestId('day-row').first().getByRole('button').first().click();
    await news.getByTestId('dismiss-news').first().click();
    await isSaved(page);
    await page.reload();
    await isRead(page);
    await expect(page.getByTestId('news').getByTestId('accept-news')).toHaveCount(first - 1);
  },
);

test('fields and conditions are chosen from a list, stand as pieces, and what each gets stands beside', async ({
  page,
}) => {
  await openDemo(page, '/lists');
  await page
    .getByTestId('lists')
    .getByRole('link', { name: /^Patrons/ })
    .click();
  await page.getByTestId('write-list').click();
  const body = page.getByTestId('mail-body');
  await body.fill('Dear ');
  await body.press('End');
  await page.getByTestId('mail-body-fields').click();
  await page.getByTestId('field-otherwise').fill('friend');
  await page.getByTestId('put-given').click();
  await expect(body).toBeFocused();
  await page.keyboard.type(', come');
  await page.getByTestId('mail-body-fields').click();
  await page.getByRole('radio', { name: 'Where known' }).click();
  await page.getByTestId('put-town').click();
  await page.keyboard.type(' from ');
  await page.getByTestId('mail-body-fields').click();
  await page.getByTestId('put-town').click();
  await expect(body).toHaveValue('Dear {given|friend}, come{if town} from {town}{end}');
  // Written to each, as only each has something of their own.
  await expect(page.getByTestId('mail-each')).toHaveAttribute('aria-checked', 'true');
  await expect(page.getByTestId('mail-preview')).toContainText(/Dear [^{]+, come/);
  // A piece goes as a whole, and the end of a condition with its beginning.
  await body.press('End');
  await page.keyboard.press('Backspace');
  await expect(body).toHaveValue('Dear {given|friend}, come from {town}');
  await page.keyboard.press('Backspace');
  await expect(body).toHaveValue('Dear {given|friend}, come from ');
  await page.getByTestId('mail-subject').fill('For {nickname}');
  await expect(page.getByTestId('missing')).toContainText('no nickname');
});
