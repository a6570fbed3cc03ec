import {
  addCard,
  DEMO,
  expect,
  find,
  isRead,
  isSaved,
  ONE_SIZE,
  openDemo,
  OWN,
  showDetails,
  test,
  WIDE_ONLY,
} from './fixtures';

test('an empty book says what will be here and offers the first step; a card needs one of four things', async ({
  page,
}) => {
  await page.goto(`${OWN}/book`);
  await isRead(page);
  await page.getByRole('button', { name: 'Create the first card' }).click();
  await page.getByTestId('save-card').click();
  await expect(page.getByText('one of them is enough')).toBeVisible();
  await expect(page.getByTestId('field-name')).toBeFocused();
  await page.getByTestId('add-emails').click();
  await page.getByTestId('mail-0').fill('not a mail');
  await page.getByTestId('save-card').click();
  // The error stands at its field, and what was typed is still there.
  await expect(page.getByText('looks like name@example.org')).toBeVisible();
  await expect(page.getByTestId('mail-0')).toHaveValue('not a mail');
  await page.getByTestId('mail-0').fill('ada@example.org');
  await page.getByTestId('save-card').click();
  await expect(page.getByTestId('card-name')).toHaveText('ada@example.org');
});

test('every kind of value is typed, labelled, kept and shown', async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Dr Ada van der Lowther');
  await expect(page.getByText('title Dr, given name Ada, surname van der Lowther')).toBeVisible();
  await page.getByTestId('field-title').fill('Harpsichord maker');
  await page.getByTestId('field-organization').fill('Brine & Bellows');
  await page.getByTestId('field-nickname').fill('Addie');
  await page.getByTestId('add-phones').click();
  await page.getByTestId('phone-0').fill('01632 960 983');
  await page.getByTestId('add-phones').click();
  await page.getByTestId('phone-1').fill('+44 7700 900123');
  await page.getByTestId('label-phones.1').click();
  await page.getByTestId('own-label').fill('boat');
  await page.getByRole('switch', { name: /Preferred/ }).click();
  await page.getByTestId('label-done').click();
  await page.getByTestId('label-phones.0').click();
  await page.getByRole('radio', { name: 'work', exact: true }).click();
  await page.getByTestId('add-addresses').click();
  await page.getByTestId('street-0').fill('4 Quay Street');
  await page.getByTestId('town-0').fill('Wexmere');
  await page.getByTestId('postcode-0').fill('WX1 4AA');
  await page.getByTestId('country-0').fill('United Kingdom');
  await page.getByTestId('add-links').click();
  await page.getByTestId('link-0').fill('lowther.example');
  await page.getByTestId('add-dates').click();
  await page.getByTestId('date-0').fill('3 February');
  await page.getByTestId('save-card').click();

  const card = page.getByTestId('card-page');
  for (const text of [
    'Harpsichord maker, Brine & Bellows',
    'Addie',
    '01632 960983',
    'boat, preferred',
    '4 Quay Street',
    'Wexmere WX1 4AA',
    'lowther.example',
    '3 February',
  ]) {
    await expect(card).toContainText(text);
  }
  await expect(page.getByRole('link', { name: 'Call', exact: true })).toHaveAttribute(
    'href',
    'tel:+447700900123',
  );
  await expect(page.getByRole('link', { name: 'Directions', exact: true })).toHaveAttribute(
    'href',
    /^geo:0,0\?q=4%20Quay%20Street/,
  );
  await expect(page.getByRole('link', { name: 'Web', exact: true })).toHaveAttribute(
    'href',
    'https://lowther.example',
  );

  // Making another one the preferred changes who is rung.
  await page.getByRole('button', { name: 'More for 01632 960983' }).click();
  await page.getByRole('button', { name: 'Make preferred' }).click();
  await expect(page.getByRole('link', { name: 'Call', exact: true })).toHaveAttribute(
    'href',
    'tel:+441632960983',
  );
});

test('leaving with unsaved changes asks, by a link and by the browser’s back; staying loses nothing', async ({
  page,
}) => {
  await openDemo(page);
  await find(page, 'ames', /Delphine Ames/);
  await page.getByTestId('edit-card').click();
  await page.getByTestId('field-title').fill('Viola');
  const dialog = page.getByRole('dialog');
  // On a phone there is no link to anywhere while a card is written.
  const lists = page.getByRole('link', { name: 'Lists' });
  if ((await lists.count()) > 0) {
    await lists.click();
    await expect(dialog).toContainText('Unsaved changes');
    await page.getByTestId('leave-stay').click();
    await expect(page.getByTestId('field-title')).toHaveValue('Viola');
  }
  await page.goBack();
  await expect(dialog).toContainText('Unsaved changes');
  await page.getByTestId('leave-stay').click();
  await expect(page.getByTestId('field-title')).toHaveValue('Viola');
  await page.getByTestId('close-editor').click();
  await page.getByTestId('leave-discard').click();
  await expect(page.getByTestId('card-page')).toContainText('Cello');
});

test('a deleted card comes back by Undo, whole', ONE_SIZE, async ({ page }) => {
  // Somebody with a portrait.
  await openDemo(page);
  await find(page, 'ames', /Rosario Ames/);
  await showDetails(page);
  const values = page.getByTestId('value');
  await values.first().waitFor();
  const before = await values.allInnerTexts();
  expect(before.length).toBeGreaterThan(3);
  const url = page.url();
  await page.getByTestId('card-more').click();
  await page.getByTestId('many-delete').click();
  await expect(page.getByTestId('notice')).toContainText('Deleted Rosario Ames');
  await page.getByTestId('notice-undo').click();
  await expect(page.getByTestId('notice')).toContainText('Undone');
  await isSaved(page);
  await page.goto(url);
  await isRead(page);
  await expect(page.getByTestId('card-name')).toHaveText('Rosario Ames');
  await showDetails(page);
  expect(await values.allInnerTexts()).toEqual(before);
  // The portrait lies under a key of its own and has come back with it.
  await expect(page.getByTestId('card-page').locator('img')).toHaveAttribute('src', /^data:image/);
});

test('the keys undo and redo, also after a reload', WIDE_ONLY, async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await addCard(page, 'Ada Lowther');
  await page.goto(`${OWN}/book`);
  await isRead(page);
  await expect(page.getByTestId('book-counts')).toContainText('1 person');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('book-counts')).toContainText('0 people');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByTestId('book-counts')).toContainText('1 person');
});

test('two pages of one book see each other’s changes and keep both', ONE_SIZE, async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await one.goto(`${DEMO}/book`);
  await isRead(one);
  await two.goto(`${DEMO}/book`);
  await isRead(two);
  await find(one, 'ames', /Delphine Ames/);
  await find(two, 'ames', /Delphine Ames/);
  // Both edit the same card, different values; the second saves what it began before the first was done.
  await two.getByTestId('edit-card').click();
  await two.getByTestId('field-nickname').fill('Del');
  await one.getByTestId('edit-card').click();
  await one.getByTestId('field-title').fill('Viola da gamba');
  await one.getByTestId('save-card').click();
  await isSaved(one);
  await two.getByTestId('save-card').click();
  await expect(two.getByTestId('card-page')).toContainText('Viola da gamba');
  await expect(one.getByTestId('card-page')).toContainText('Del');
});

test(
  'two pages that save the same card at the same moment, and a long change on one of them, lose nothing',
  ONE_SIZE,
  async ({ context }) => {
    const [one, two] = [await context.newPage(), await context.newPage()];
    for (const page of [one, two]) {
      await page.goto(`${DEMO}/book`);
      await isRead(page);
      await find(page, 'ames', /Delphine Ames/);
      await page.getByTestId('edit-card').click();
    }
    await one.getByTestId('field-nickname').fill('Del');
    await two.getByTestId('field-title').fill('Viola da gamba');
    await Promise.all([one, two].map((page) => page.getByTestId('save-card').click()));
    for (const page of [one, two])
      for (const text of ['Del', 'Viola da gamba'])
        await expect(page.getByTestId('card-page')).toContainText(text);

    // All cards get a tag on one page, piece by piece, while the other one edits one of them.
    await two.getByTestId('edit-card').click();
    await two.getByTestId('field-nickname').fill('Della');
    await one.goto(`${DEMO}/book`);
    await isRead(one);
    await one.getByTestId('choose-several').click();
    await one.getByTestId('choose-all').click();
    await one.getByTestId('many-tags').click();
    await one.getByTestId('new-tag').fill('everybody');
    await Promise.all([one.getByTestId('give-tag').click(), two.getByTestId('save-card').click()]);
    await expect(one.getByRole('checkbox', { name: 'everybody' })).toBeChecked();
    await isSaved(one);
    await isSaved(two);
    await two.reload();
    await isRead(two);
    await showDetails(two);
    for (const text of ['Della', 'Viola da gamba', 'everybody'])
      await expect(two.getByTestId('card-page')).toContainText(text);
  },
);

test('what a card holds is text, whatever it says', ONE_SIZE, async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.evaluate(() => Object.assign(window, { hits: 0 }));
  const attack = '<img src=x onerror="window.hits++">';
  await page.getByTestId('field-title').fill(attack);
  await page.getByTestId('add-links').click();
  await page.getByTestId('link-0').fill('javascript:window.hits++');
  await addCard(page, attack, '123');
  await expect(page.getByTestId('card-name')).toHaveText(attack);
  await page.getByText('javascript:window.hits++').click();
  expect(await page.evaluate(() => (window as unknown as { hits: number }).hits)).toBe(0);
  await expect(page.locator('a[href^="javascript"]')).toHaveCount(0);
});

test('editing a card begins at its head, whatever it holds', async ({ page, viewport }) => {
  await openDemo(page, '/book/c0a0d1a1-0000-4000-8a00-000000000000/edit');
  await expect(page.getByTestId('field-name')).toBeInViewport();
  const focused = await page.evaluate(() => document.activeElement?.getAttribute('data-testid') ?? '');
  expect(focused).toBe((viewport?.width ?? 0) < 900 ? '' : 'field-name');
});

const SIGNATURE = `Ingrid Solheim
Head of programme, Fjellheim Konserthus
Storgata 5, 0155 Oslo
+47 22 33 44 55
ingrid@fjellheim.example`;

test('a signature pasted into any field offers to go to the fields of its values, and comes back', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'], { origin: OWN });
  await page.goto(`${OWN}/book/new`);
  await page.getByTestId('field-name').waitFor();
  await page.evaluate((text) => navigator.clipboard.writeText(text), SIGNATURE);
  await page.getByTestId('field-nickname').focus();
  await page.keyboard.press('Control+V');
  await expect(page.getByTestId('spread')).toContainText(
    'That is a name, a place of work, a phone number, a mail address and an address.',
  );
  await page.getByTestId('spread-it').click();
  await expect(page.getByTestId('field-name')).toHaveValue('Ingrid Solheim');
  await expect(page.getByTestId('field-nickname')).toHaveValue('');
  await expect(page.getByTestId('field-organization')).toHaveValue('Fjellheim Konserthus');
  await expect(page.getByTestId('mail-0')).toHaveValue('ingrid@fjellheim.example');
  await expect(page.getByTestId('town-0')).toHaveValue('Oslo');
  await page.getByTestId('spread-back').click();
  await expect(page.getByTestId('field-name')).toHaveValue('');
  await expect(page.getByTestId('mail-0')).toHaveCount(0);
});

test('Enter goes from line to line of a form, and makes a line where there are several', async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  await page.getByTestId('field-name').fill('Ada Lowther');
  await page.getByTestId('add-notes').click();
  await page.getByTestId('field-name').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('field-title')).toBeFocused();
  await page.keyboard.type('Tenor');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('field-organization')).toBeFocused();
  await page.getByTestId('note-0').focus();
  await page.keyboard.type('one');
  await page.keyboard.press('Enter');
  await page.keyboard.type('two');
  await expect(page.getByTestId('note-0')).toHaveValue('one\ntwo');
});

test('on a phone there is nothing but the form and what saves it', ONE_SIZE, async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  const form = page.getByTestId('card-editor');
  await form.waitFor();
  await expect(page.getByTestId('quick-line')).toHaveCount(0);
  await expect(page.getByRole('navigation')).toHaveCount(0);
  const foot = await page.getByTestId('save-card').boundingBox();
  // The form itself has all of the height but for one line of acts.
  expect(844 - (foot?.y ?? 0)).toBeLessThan(64);
  await page.getByTestId('add-phones').click();
  const [label, number] = [page.getByTestId('label-phones.0'), page.getByTestId('phone-0')];
  expect((await label.boundingBox())?.y).toBe((await number.boundingBox())?.y);
});
