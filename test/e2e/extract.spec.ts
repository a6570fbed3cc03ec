// A card out of a text: pasted, recognised, put right by a press, added, or added to somebody who is there.
import { addCard, expect, isRead, isSaved, ONE_SIZE, OWN, test } from './fixtures';

const TEXT = `Dear Ada,

see you on 3.11.2026.

Kind regards

Zora Quast
Head of Programming
Blue Lantern
T 020 7946 0123
zora@lantern.example`;

test('a signature becomes a card; a word is said to be something else, taken back, and undo takes the card back', async ({
  page,
}) => {
  await page.goto(`${OWN}/import/text`);
  await isRead(page);
  await page.getByTestId('extract-text').fill(TEXT);
  const read = page.getByTestId('read-card');
  await expect(read).toContainText('Zora Quast');
  await expect(read).toContainText('Head of Programming, Blue Lantern');
  await expect(page.getByTestId('mark-phone')).toHaveAccessibleName('020 7946 0123: phone');
  await page.getByTestId('mark-organisation').click();
  await page.getByTestId('say-department').click();
  await expect(page.getByTestId('mark-department')).toHaveAccessibleName('Blue Lantern: department');
  await page.getByTestId('extract-undo').click();
  await expect(page.getByTestId('mark-organisation')).toBeVisible();
  // What was typed is still there after a reload.
  await isSaved(page);
  await page.reload();
  await isRead(page);
  await expect(page.getByTestId('extract-text')).toHaveValue(TEXT);
  await page.getByTestId('add-extracted').click();
  await expect(page.getByTestId('card-name')).toHaveText('Zora Quast');
  await expect(page.getByTestId('card-page')).toContainText('020 7946 0123');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('card-page')).toHaveCount(0);
});

test(
  'text pasted into the quick line is read, and added to the card of whom it is about',
  ONE_SIZE,
  async ({ page }) => {
    await page.goto(`${OWN}/book/new`);
    await isRead(page);
    await addCard(page, 'Zora Quast');
    await page.getByTestId('quick-line').evaluate((line, text) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', text);
      line.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
    }, TEXT);
    await expect(page.getByTestId('extract-text')).toHaveValue(TEXT);
    await expect(page.getByTestId('extract-duplicate')).toContainText('Zora Quast, who is in the Book');
    await page.getByTestId('add-to-duplicate').click();
    await expect(page.getByTestId('card-name')).toHaveText('Zora Quast');
    await expect(page.getByTestId('card-page')).toContainText('zora@lantern.example');
    await isSaved(page);
    await page.goto(`${OWN}/book`);
    await isRead(page);
    await expect(page.getByTestId('book-counts')).toContainText('1 person');
  },
);
