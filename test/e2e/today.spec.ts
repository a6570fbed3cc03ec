// Today, talks and rhythm: what a day asks for, and what is left when it is done.
import { addCard, DEMO, expect, isRead, isSaved, ONE_SIZE, openDemo, OWN, test } from './fixtures';

test('Today greets, names who is late, and what is done goes from it, with one undo', async ({ page }) => {
  await openDemo(page, '/');
  await expect(page).toHaveURL(/\/today$/);
  await expect(page.getByTestId('today-sentence')).toContainText(/(person|people) to greet, .*late\./);
  const greetings = page.getByTestId('part-Greetings');
  const rows = greetings.getByRole('button', { name: /Turns|Birthday/ });
  await expect(rows.first()).toBeVisible();
  const before = await rows.count();
  const name = (await rows.first().getAttribute('aria-label'))?.split(',')[0] ?? '';
  await rows.first().click();
  await expect(rows.first()).toHaveAttribute('aria-expanded', 'true');
  // A greeting stands ready in what writing opens.
  await expect(greetings.locator('a[href^="mailto:"]').first()).toHaveAttribute('href', /subject=.+&body=.+/);
  await greetings.getByTestId('greeted').first().click();
  await expect(rows).toHaveCount(before - 1);
  await expect(greetings).not.toContainText(name);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(greetings).toContainText(name);
});

test('somebody who is late is put off, or talked to, and is late no more', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/today');
  const late = page.getByTestId('part-Late');
  const row = late.getByTestId('day-row').first().getByRole('button').first();
  const nameOf = async () => (await row.getAttribute('aria-label'))?.split(',')[0] ?? '';
  const first = await nameOf();
  await row.click();
  await late.getByTestId('off-week').first().click();
  await expect.poll(nameOf).not.toBe(first);
  const second = await nameOf();
  await row.click();
  // Written in the row itself.
  await late.getByTestId('today-note').first().click();
  await page.getByTestId('talk-said').fill('Agreed on the second rehearsal. #rider');
  await page.getByTestId('talk-next').fill('in ten days');
  await page.getByTestId('save-talk').click();
  await expect.poll(nameOf).not.toBe(second);
  await isSaved(page);
  await page.reload();
  await isRead(page);
  await expect.poll(nameOf).not.toBe(second);
});

test('a day of the almanac strip says what it brings', async ({ page }) => {
  await openDemo(page, '/today');
  await page
    .getByTestId('almanac')
    .getByRole('button', { name: /birthday/ })
    .first()
    .click();
  await expect(page.getByTestId('almanac-day').getByRole('link').first()).toHaveAccessibleName(/birthday/);
});

test('a talk is noted on a card, says when next and how to begin, is changed, deleted and taken back', async ({
  page,
}) => {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Zora Quast');
  await page.getByTestId('save-card').click();
  await page.getByTestId('note-talk').click();
  await page.getByTestId('talk-said').fill('She brings the **old** viola');
  await page.getByTestId('talk-next').fill('sometime');
  await expect(page.getByTestId('save-talk')).toBeDisabled();
  // Closed and opened again: what was typed is still there.
  await page.keyboard.press('Escape');
  await page.getByTestId('note-talk').click();
  await expect(page.getByTestId('talk-said')).toHaveValue('She brings the **old** viola');
  await page.getByTestId('talk-next').fill('tomorrow');
  await page.getByTestId('talk-opener').fill('How is the viola?');
  await page.getByTestId('save-talk').click();
  const talks = page.getByTestId('talks');
  await expect(talks).toContainText('1 talk, the first on');
  await expect(talks).toContainText('She brings the old viola');
  await expect(page.getByTestId('standing')).toContainText('Call today');
  await expect(page.getByTestId('standing')).toContainText('due in 1 day');
  await expect(page.getByText('How is the viola?')).toBeVisible();
  await talks.getByRole('button', { name: /^Change: Call/ }).click();
  await page.getByTestId('delete-talk').click();
  await expect(talks).toContainText('None yet');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(talks).toContainText('1 talk, the first on');
  await isSaved(page);
  await page.reload();
  await isRead(page);
  await expect(talks).toContainText('She brings the old viola');
});

test('a rhythm is set for several at once, and an empty book has a free day', ONE_SIZE, async ({ page }) => {
  await page.goto(`${OWN}/today`);
  await isRead(page);
  await expect(page.getByTestId('today-sentence')).toHaveText('An empty book.');
  await expect(page.getByTestId('first-steps').getByRole('link')).toHaveCount(7);
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Bo Ek');
  await page.getByTestId('save-card').click();
  await page.getByTestId('card-more').click();
  await page.getByTestId('many-rhythm').click();
  await page.getByTestId('rhythm-every').fill('2');
  await page.getByRole('radio', { name: 'weeks' }).click();
  await page.getByTestId('save-rhythm').click();
  await expect(page.getByTestId('standing')).toContainText('due in 14 days');
});

test(
  'what is worth doing next is named once there are people, and can be let be',
  ONE_SIZE,
  async ({ page }) => {
    await page.goto(`${OWN}/book/new`);
    await addCard(page, 'Ada Lowther');
    await page.goto(`${OWN}/today`);
    const steps = page.getByTestId('next-steps');
    await expect(steps).toContainText('0 of 4 done');
    await page.getByRole('button', { name: 'That is right' }).click();
    await expect(steps).toContainText('1 of 4 done');
    await expect(page.getByTestId('step-country')).toHaveCount(0);
    await page.getByRole('button', { name: 'Not needed: A first backup' }).click();
    await isSaved(page);
    await page.goto(`${OWN}/settings`);
    // Found again, with those that are over.
    await expect(page.getByTestId('step-country').getByRole('img', { name: 'Done' })).toBeVisible();
    await expect(page.getByTestId('next-steps')).toContainText('2 of 4 done');
  },
);

test(
  'the demo says on first opening what to try, and has a directory that opens by a press',
  ONE_SIZE,
  async ({ browser }) => {
    const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
    const page = await context.newPage();
    await openDemo(page, '/today');
    await expect(page.getByTestId('demo-hint')).toContainText('invented festival director');
    await page.getByTestId('demo-hint').getByRole('button', { name: 'Close' }).click();
    await expect(page.getByTestId('demo-hint')).toHaveCount(0);
    await page.goto(`${DEMO}/directory`);
    await expect(page.getByTestId('demo-access')).toContainText('passphrase');
    await page.getByRole('button', { name: /^Enter as .*, reader$/ }).click();
    await expect(page.getByTestId('entries').getByRole('link').nth(5)).toBeVisible();
    await context.close();
  },
);

test(
  'a row swiped to the left opens in place, and to the right does what is likeliest',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/today');
    const row = page.getByTestId('day-row').first();
    await row
      .getByTestId('likely')
      .getByRole('link')
      .or(row.getByTestId('likely').getByRole('button'))
      .first()
      .waitFor();
    const swipe = async (by: number) => {
      const box = await row.boundingBox();
      if (!box) throw new Error('there is no row');
      const session = await page.context().newCDPSession(page);
      const at = (x: number) => [{ x: 195 + x, y: box.y + 24 }];
      await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) });
      for (const part of [0.2, 0.5, 0.8, 1])
        await session.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(by * part) });
      await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    };
    await swipe(-120);
    await expect(row.getByTestId('day-row-open')).toBeVisible();
    await swipe(-120);
    await expect(row.getByTestId('day-row-open')).toHaveCount(0);
    // Too short a way does nothing.
    await swipe(40);
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await swipe(120);
    await expect(page.getByRole('dialog')).toBeVisible();
  },
);
