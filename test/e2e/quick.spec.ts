// The quick line: finding, filling in and doing, by the keyboard alone.
import { expect, isSaved, ONE_SIZE, openDemo, showDetails, test } from './fixtures';

test('a line shows what it would do before Enter, fills several things in, and undo takes them back', async ({
  page,
}) => {
  await openDemo(page, '/book');
  await page.keyboard.press('/');
  await page.keyboard.type('ada lowther 07700 900123 #choir on patr');
  const option = page.getByRole('option', { name: /^Add to Ada Lowther/ });
  await expect(option).toContainText('number 07700 900123 · tag choir · on Patrons');
  await expect(option).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Add to Ada Lowther: number/)).toBeVisible();
  await isSaved(page);
  await page.keyboard.press('/');
  await page.keyboard.type('ada lowther');
  await page.keyboard.press('Enter');
  await showDetails(page);
  await expect(page.getByRole('link', { name: /Phone, 07700 900123/ })).toBeVisible();
  await expect(page.getByTestId('card-lists-on')).toContainText('Patrons');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('link', { name: /Phone, 07700 900123/ })).toHaveCount(0);
});

test('a name nobody has makes a card with what was recognised', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/book');
  await page.keyboard.press('/');
  await page.keyboard.type('Zora Quast zora@example.org born 3 May');
  await expect(page.getByRole('option', { name: /^New card Zora Quast/ })).toContainText(
    'mail zora@example.org · birthday 3 May',
  );
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('card-name')).toHaveText('Zora Quast');
  await expect(page.getByTestId('card-page')).toContainText('3 May');
});

test('a name that is only like somebody’s offers a new card first', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/book');
  await page.keyboard.press('/');
  await page.keyboard.type('Lowthre zora@example.org');
  const options = page.getByRole('option');
  await expect(options.first()).toContainText('New card Lowthre');
  await expect(options.nth(1)).toContainText('Add to');
});

test(
  'one value is shown to copy, an act says what it needs, a page opens',
  ONE_SIZE,
  async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await openDemo(page, '/book');
    await page.keyboard.press('/');
    await page.keyboard.type('ada lowther mail');
    await expect(
      page.getByRole('option', { name: /Ada Lowther: mail, ada.lowther@example.org/ }),
    ).toBeVisible();
    await page.keyboard.press('Enter');
    await expect
      .poll(() => page.evaluate(() => navigator.clipboard.readText()))
      .toBe('ada.lowther@example.org');
    await page.keyboard.press('/');
    await page.keyboard.type('call ada lowther');
    await expect(page.getByRole('option', { name: /^Call Ada Lowther, 020 7946/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.type('edit ada lowther');
    await expect(page.getByRole('option', { name: /^Edit Ada Lowther/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('field-name')).toHaveValue('Ada Lowther');
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.type('devices');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/devices$/);
  },
);

test('the line says all it understands, with examples to try', async ({ page }) => {
  await openDemo(page, '/book');
  await page.getByTestId('quick-help').click();
  await expect(page.getByTestId('help-Do')).toContainText('call Götz Achterberg');
  await page.getByRole('button', { name: /Try: Götz Achterberg mail/ }).click();
  await expect(page.getByRole('option', { name: /Götz Achterberg: mail/ })).toBeVisible();
});

test('acts stand beside what was found, are reached by arrow keys, and come first the next time', async ({
  page,
}) => {
  await openDemo(page, '/book');
  const line = page.getByTestId('quick-line');
  await line.fill('achterberg');
  await expect(page.getByTestId('quick-act-edit')).toBeVisible();
  // What was looked for is marked where it stands.
  await expect(page.getByRole('option').first().locator('.underline').first()).toHaveText(/achterberg/i);
  const edit = await page.getByRole('toolbar', { name: 'What can be done' }).getByRole('button').count();
  for (let i = 0; i < edit; i += 1) await line.press('ArrowRight');
  await line.press('Enter');
  await page.getByTestId('card-editor').waitFor();
  await page.keyboard.press('Escape');
  // The editor gives the focus to what lies beneath when it has gone.
  await page.getByTestId('card-editor').waitFor({ state: 'hidden' });
  await expect(page).not.toHaveURL(/\/edit$/);
  await line.focus();
  await expect(page.getByRole('option').first()).toHaveAccessibleName(/^Edit .*Achterberg/);
  await page.getByRole('option').first().click();
  await expect(page).toHaveURL(/\/edit$/);
});

test('a limit is picked instead of typed', async ({ page }) => {
  await openDemo(page, '/book');
  await page.getByTestId('quick-line').fill('a');
  await page.getByTestId('pick-limit').click();
  await page.getByRole('button', { name: 'without mail', exact: true }).click();
  await expect(page.getByTestId('quick-line')).toHaveValue('a, without mail');
  await expect(page.getByTestId('understood')).toContainText('without mail');
});

test(
  'plain sentences: said before they are done, done as one step, asked where a name is that of several',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/book');
    const line = page.getByTestId('quick-line');
    const first = page.getByRole('option').first();
    await line.fill('put ada on patrons');
    await expect(first).toContainText('Add to Ada Lowther');
    await expect(first).toContainText('on Patrons');
    await line.press('Enter');
    await expect(page.getByText('Add to Ada Lowther: on Patrons')).toBeVisible();
    await page.keyboard.press('Control+z');
    await line.fill('talked with ada about the hall, again in ten days');
    await expect(first).toContainText('Note a talk with Ada Lowther: meeting, the hall, again on');
    await line.press('Enter');
    await expect(page.getByText(/^Note a talk with Ada Lowther/)).toBeVisible();
    await page.keyboard.press('Control+z');
    await line.fill('merge ada and götz');
    await expect(first).toContainText('seen side by side first');
    await line.fill('write to patrons');
    await expect(first).toContainText('18 people');
    await line.fill('birthday in december but not in london');
    await expect(page.getByTestId('understood')).toContainText('birthday in December, not in london');
    // Several are called so: Enter takes none of them until one is gone to.
    await line.fill('archive hamish');
    await expect(first).toContainText('Archive Hamish');
    await line.press('Enter');
    await expect(line).toHaveValue('archive hamish');
    await line.press('ArrowDown');
    await expect(first).toHaveAttribute('aria-selected', 'true');
    await line.press('Enter');
    await expect(page.getByText(/^Archive Hamish/).first()).toBeVisible();
    await page.keyboard.press('Control+z');
  },
);

test('the line goes on by Tab or a press, and a part that was misread is made something else by pressing it', async ({
  page,
}) => {
  await openDemo(page, '/book');
  const line = page.getByTestId('quick-line');
  await line.pressSequentially('call ad');
  const rest = page.getByTestId('line-rest');
  await expect(rest).toHaveText('a Lowther');
  await line.press('Tab');
  await expect(line).toHaveValue('call ada Lowther');
  await expect(line).toBeFocused();
  await expect(page.getByRole('option').first()).toHaveAccessibleName(/^Call Ada Lowther/);
  await line.fill('birthday in dec');
  await expect(rest).toHaveText('ember');
  await rest.click();
  await expect(line).toHaveValue('birthday in december');
  await expect(page.getByTestId('understood')).toHaveText('Understood: birthday in December');
  // With nothing to add the key goes on to what follows.
  await expect(rest).toHaveCount(0);
  await line.press('Tab');
  await expect(line).not.toBeFocused();
  await line.fill('archive hamish');
  const part = page.getByRole('button', { name: /^“hamish”, understood as Hamish/ });
  await expect(part).toHaveAttribute('aria-expanded', 'false');
  await part.click();
  const other = page.getByTestId('others').getByRole('button', { name: 'Hamish Pell' });
  await other.focus();
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('archive Hamish Pell');
  await expect(page.getByRole('option').first()).toHaveAccessibleName(/^Archive Hamish Pell/);
  await expect(page.getByTestId('others')).toHaveCount(0);
});

test('an empty line offers what the day asks for, and lines to try that make sense on this book', async ({
  page,
}) => {
  await openDemo(page, '/book');
  await page.getByTestId('quick-line').click();
  await expect(page.getByRole('option', { name: /^Today, .*\d late/ })).toBeVisible();
  const examples = page.getByRole('option', { name: /, For example$/ });
  await expect(examples).toHaveCount(3);
  await examples.first().click();
  await expect(page.getByTestId('quick-line')).not.toHaveValue('');
  await expect(page.getByTestId('understood')).toBeVisible();
});

test('a card is exported from the line, a list once its people have been seen, and a card goes along with a message', async ({
  page,
}) => {
  await openDemo(page, '/today');
  const line = page.getByTestId('quick-line');
  await line.fill('export ada as vcard');
  await expect(page.getByRole('option').first()).toHaveAccessibleName(/^Export Ada Lowther as vCard 4\.0/);
  const saved = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  const file = await saved;
  expect(file.suggestedFilename()).toMatch(/^Ada-Lowther-.*\.vcf$/);
  await expect(page.getByText('Exported Ada Lowther as vCard 4.0')).toBeVisible();
  // A list with lists on it: everybody on those counts.
  await line.fill('export opening night as a table');
  await expect(page.getByRole('option').first()).toHaveAccessibleName(
    /^Export Opening night as a table, 42 people/,
  );
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('dialog', { name: 'Export 42 cards' });
  await expect(sheet.getByRole('radio', { name: 'Table (CSV)' })).toBeChecked();
  await expect(sheet.getByRole('radio', { name: 'Table (CSV)' })).toBeFocused();
  const table = page.waitForEvent('download');
  await sheet.getByTestId('run-export').click();
  expect((await table).suggestedFilename()).toMatch(/\.csv$/);
  await expect(sheet).toHaveCount(0);
  await page.getByTestId('choosing-done').click();
  await line.fill('send ada to götz');
  await expect(page.getByRole('option').first()).toHaveAccessibleName(
    /^Send the card of Ada Lowther to Götz Achterberg/,
  );
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('attached')).toContainText('Ada Lowther');
  await expect(page.getByText('Götz Achterberg').first()).toBeVisible();
});
