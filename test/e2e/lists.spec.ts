// Lists: picked, by a rule, on each other; and what a search can be kept as.
import { expect, find, isRead, isSaved, ONE_SIZE, openDemo, OWN, showDetails, test } from './fixtures';

test('a list is made, people are put on it by typing, a new one on the spot, and taken off again', async ({
  page,
}) => {
  await openDemo(page, '/lists');
  await page.getByTestId('new-list').click();
  await page.getByTestId('list-name').fill('Pier concert');
  await page.getByTestId('do-new-list').click();
  await expect(page.getByTestId('list-title')).toHaveText('Pier concert');
  await page.getByTestId('add-member').fill('achterb');
  await page.getByRole('button', { name: 'Add Götz Achterberg to it' }).click();
  await page.getByTestId('add-member').fill('Zora Quast zora@example.org');
  await page.getByRole('button', { name: /Create a card for Zora/ }).click();
  await expect(page.getByTestId('list-count')).toHaveText('2 cards');
  // A list on the list brings its people, who say through which list they came.
  await page.getByTestId('add-member').fill('patr');
  await page.getByRole('button', { name: 'Add Patrons to it' }).click();
  await expect(page.getByTestId('members')).toContainText('Through Patrons');
  await page.getByRole('button', { name: 'Remove Zora Quast' }).click();
  await expect(page.getByTestId('members')).not.toContainText('Zora Quast');
  await isSaved(page);
  await page.reload();
  await isRead(page);
  await expect(page.getByTestId('members')).toContainText('Götz Achterberg');
  // The card knows its lists.
  await page
    .getByTestId('members')
    .getByRole('link', { name: /Götz Achterberg/ })
    .click();
  await showDetails(page);
  await expect(page.getByTestId('card-lists-on')).toContainText('Pier concert');
});

test('a list can’t come to hold itself', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/lists');
  await page.getByRole('link', { name: /^Patrons/ }).click();
  await page.getByTestId('add-member').fill('opening');
  await page.getByRole('button', { name: 'Add Opening night to it' }).click();
  await expect(page.getByText('has Patrons on it already')).toBeVisible();
});

test(
  'a rule list fills itself, follows every change, and says why somebody is on it',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/lists');
    await page.getByTestId('new-list').click();
    await page.getByTestId('list-name').fill('Swedes without mail');
    await page.getByRole('radio', { name: /By a rule/ }).click();
    await page.getByTestId('do-new-list').click();
    await page.getByTestId('add-condition').click();
    await page.getByTestId('test-value').fill('sweden');
    await expect(page.getByTestId('test-count')).toContainText(/in sweden: [1-9]/);
    await page.getByTestId('keep-test').click();
    const count = async () => Number((await page.getByTestId('list-count').textContent())?.split(' ')[0]);
    await expect.poll(count).toBeGreaterThan(2);
    const all = await count();
    await page.getByTestId('add-condition').click();
    await page.getByRole('radio', { name: 'Mail', exact: true }).click();
    await page.getByRole('radio', { name: 'There is a mail' }).click();
    await page.getByTestId('test-not').click();
    await page.getByTestId('keep-test').click();
    await expect.poll(count).toBeLessThan(all);
    await page
      .getByRole('button', { name: /^Why is/ })
      .first()
      .click();
    await expect(page.getByRole('dialog')).toContainText('in sweden');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await expect.poll(count).toBe(all);
  },
);

test('a search with limits says what it understood, and is kept as a list or chosen as a whole', async ({
  page,
}) => {
  await openDemo(page, '/book');
  await page.getByTestId('quick-line').fill('people in leipzig');
  await expect(page.getByTestId('understood')).toHaveText('Understood: people only, in leipzig');
  await page.getByTestId('choose-found').click();
  await expect(page.getByTestId('chosen-count')).toHaveText(/[1-9] cards? selected/);
  await page.getByTestId('choosing-done').click();
  await page.getByTestId('quick-line').fill('people in leipzig');
  await page.getByTestId('keep-found').click();
  await expect(page.getByTestId('list-title')).toHaveText('people only, in leipzig');
  await expect(page.getByTestId('list-count')).toHaveText(/[1-9] card/);
});

test('an archived card is out of sight, found when asked for, and comes back', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/book');
  await find(page, 'achterberg gö', /Götz Achterberg/);
  await page.getByTestId('card-more').click();
  await page.getByTestId('many-archive').click();
  await page.getByTestId('quick-line').fill('götz achterberg');
  await expect(page.getByText('Nothing found for')).toBeVisible();
  await page.getByTestId('quick-line').fill('');
  // Two presses away from everywhere on a phone.
  await page.getByTestId('quick-line').click();
  await page.getByRole('option', { name: /Archived cards/ }).click();
  await expect(page.getByRole('option', { name: /Götz Achterberg/ })).toBeVisible();
  await find(page, 'götz archived', /Götz Achterberg/);
  await page.getByTestId('bring-back').click();
  await expect(page.getByTestId('bring-back')).toHaveCount(0);
  await find(page, 'götz achterberg', /Götz Achterberg/);
});

test(
  'a pinned card stands at the head of the Book, in whatever order that is',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/book');
    await find(page, 'lowther ada', /Ada Lowther/);
    await page.getByTestId('card-more').click();
    await page.getByTestId('many-pin').click();
    await isSaved(page);
    await page.goto(page.url().replace(/\/book\/.*/, '/book'));
    await isRead(page);
    // The installed application offers the pinned people; the browser reads it as it would on installing.
    await page.locator('link[rel="manifest"]').waitFor({ state: 'attached' });
    const devtools = await page.context().newCDPSession(page);
    const manifest = async () => {
      // Asked while it is being replaced by a newer one, the browser never answers.
      const asked = devtools.send('Page.getAppManifest');
      const answer = await Promise.race([asked, page.waitForTimeout(5000)]);
      if (!answer) return undefined;
      const { data, errors } = answer;
      const { shortcuts } = JSON.parse(data || '{}') as { shortcuts?: { name: string }[] };
      return { errors, names: shortcuts?.map(({ name }) => name) };
    };
    await expect.poll(manifest).toEqual({ errors: [], names: ['New card', 'Ada Lowther'] });
    // The list draws its rows in any order; what counts is where they stand.
    const topmost = (selector: string) =>
      page.evaluate((wished) => {
        const all = [...document.querySelectorAll(wished)];
        const top = (one: Element) => one.getBoundingClientRect().top;
        const [first] = all.sort((a, b) => top(a) - top(b));
        return first?.getAttribute('aria-label') ?? first?.textContent;
      }, selector);
    await expect.poll(() => topmost('[id^="row-"]')).toContain('Ada Lowther');
    await page.getByRole('button', { name: 'Order: surname' }).click();
    await page.getByRole('radio', { name: 'Place' }).click();
    await page.keyboard.press('Escape');
    await expect.poll(() => topmost('[id^="row-"]')).toContain('Ada Lowther');
    await expect(page.getByTestId('book-list').getByRole('heading', { name: 'Pinned' })).toBeVisible();
    await expect(page.getByTestId('book-list').getByRole('heading', { name: 'A', exact: true })).toHaveCount(
      0,
    );
  },
);

test('a new book says what lists are for', ONE_SIZE, async ({ page }) => {
  await page.goto(`${OWN}/lists`);
  await isRead(page);
  await expect(page.getByText('lists that fill themselves by a rule')).toBeVisible();
});

test(
  'a tag is renamed, joined to another, given a colour, and its cards are chosen',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/lists');
    const tag = (name: string) => page.getByRole('button', { name: new RegExp(`^Tag ${name}, `) });
    const countOf = async (name: string) =>
      Number(/, ([\d,]+) card/.exec((await tag(name).getAttribute('aria-label')) ?? '')?.[1]);
    const [press, patrons] = [await countOf('press'), await countOf('patrons')];
    await tag('press').click();
    await page.getByTestId('rename-tag').fill('media');
    await page.getByTestId('do-rename-tag').click();
    await expect(tag('press')).toHaveCount(0);
    expect(await countOf('media')).toBe(press);
    await tag('media').click();
    await page.getByTestId('rename-tag').fill('Patrons');
    await expect(page.getByText('the two become one')).toBeVisible();
    await page.getByTestId('do-rename-tag').click();
    await expect(tag('media')).toHaveCount(0);
    expect(await countOf('patrons')).toBe(press + patrons);
    await page.keyboard.press('Control+z');
    expect(await countOf('media')).toBe(press);
    await tag('media').click();
    await page.getByRole('radio', { name: 'Plum' }).click();
    await expect(page.getByRole('radio', { name: 'Plum' })).toBeChecked();
    await page.getByTestId('choose-tag').click();
    await expect(page.getByTestId('chosen-count')).toHaveText(`${press} cards selected`);
  },
);

test(
  'where there is room the lists, who is on the open one, and a member’s card stand side by side',
  ONE_SIZE,
  async ({ page }) => {
    await page.setViewportSize({ width: 1760, height: 900 });
    await openDemo(page, '/lists');
    const members = page.getByTestId('members').getByRole('link');
    const pane = page.getByTestId('card-pane');
    await expect(page.getByTestId('lists')).toBeVisible();
    await expect(pane).toBeVisible();
    const name = ((await members.nth(6).getAttribute('aria-label')) ?? '').split(',')[0] ?? '';
    await members.nth(6).click();
    await expect(pane.getByRole('heading', { name })).toBeVisible();
    await expect(page).toHaveURL(/\/lists\//);
    await expect(page.getByRole('separator')).toHaveCount(2);
  },
);
