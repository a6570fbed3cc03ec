// The map: who is where, who is near, by hand and by keys; and what is near in a search.
import { expect, openDemo, test } from './fixtures';

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
