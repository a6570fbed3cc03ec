// The map: who is where, who is near, by hand and by keys; and what is near in a search.
import { expect, ONE_SIZE, openDemo, test } from './fixtures';

test('a place on the map shows its people, and a person who is near another is found', async ({ page }) => {
  await openDemo(page, '/book');
  await page.getByTestId('as-map').click();
  await expect(page.getByTestId('map-count')).toContainText(
    /1\d\d cards at \d\d places, \d+ by the country only/,
  );
  await page
    .getByTestId('map')
    .getByRole('button', { name: /^Wexmere and \d+ more places: \d+ cards/ })
    .click();
  await expect(page.getByTestId('map-place')).toHaveText(/^Wexmere and/);
  // The map has gone nearer, so that the town stands by itself now.
  await page.getByTestId('map').focus();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('+');
  await page.getByTestId('map-all').click();
  await page.getByRole('link', { name: /^Bergen, \d+ cards/ }).click();
  await expect(page.getByTestId('map-place')).toHaveText('Bergen');
  const people = page.getByTestId('map-people').getByRole('link');
  const count = Number((await page.getByTestId('map-count').textContent())?.split(' ')[0]);
  await expect(people).toHaveCount(count);

  await page.getByTestId('map-near').fill('Gdańsk');
  await expect(page.getByTestId('map-place')).toHaveText('Within 50 km of Gdańsk');
  await expect(people.first()).toHaveAccessibleName(/here/);
  // Gdynia lies about 20 km off (from memory).
  await expect(page.getByTestId('map-people')).toContainText(/(19|20|21|22) km/);
  await page.getByTestId('map-km').fill('5');
  await expect(page.getByTestId('map-people')).not.toContainText('Gdynia');
  await page.getByTestId('map-near').fill('zzzqqq');
  await expect(page.getByText('No town or person is called “zzzqqq”')).toBeVisible();
});

test('a search takes a distance, says so, and shows how far everybody is', async ({ page }) => {
  await openDemo(page);
  await page.getByTestId('quick-line').fill('within 40 km of gdynia');
  await expect(page.getByTestId('understood')).toContainText('within 40 km of gdynia');
  await expect(page.getByRole('option', { name: /km ·|here/ }).first()).toBeVisible();
});

test(
  'on a phone the map and its list share the height, by a drag, by keys, and as it was left',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/book/map');
    const edge = page.getByRole('separator', { name: /^Height of the upper part/ });
    const height = async () => (await page.getByTestId('map').boundingBox())?.height ?? 0;
    await edge.waitFor();
    const before = await height();
    const box = await edge.boundingBox();
    if (!box) throw new Error('there is no edge');
    await page.mouse.move(195, box.y + 14);
    await page.mouse.down();
    await page.mouse.move(195, box.y + 114, { steps: 5 });
    await page.mouse.up();
    expect(await height()).toBeGreaterThan(before + 80);
    await edge.press('ArrowUp');
    const kept = await height();
    await page.reload();
    await edge.waitFor();
    await expect.poll(height).toBe(kept);
  },
);
