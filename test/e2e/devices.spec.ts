import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

import { addCard, expect, isRead, isSaved, ONE_SIZE, showDetails, test } from './fixtures';
import { type OwnHub, startHub } from './ownHub';

let hub: OwnHub;

test.describe('a demo', () => {
  test.beforeAll(async () => {
    hub = await startHub(['--demo']);
  });
  test.afterAll(() => hub.stop());

  test('shows its three devices, and a value to settle that both have changed', async ({ page }) => {
    await page.goto(`${hub.url}/devices`);
    await page.getByTestId('in-step').first().waitFor();
    for (const name of ['Phone', 'Mail client', 'Computer'])
      await expect(page.getByRole('link', { name: new RegExp(`^${name},`) }).first()).toBeVisible();
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations).toEqual([]);
    await page.getByTestId('to-settle').click();
    await expect(page.getByTestId('settle-page')).toContainText('ada.lowther.new@example.org');
    await page.getByTestId('settle-both').click();
    await expect(page.getByTestId('settle-page')).toContainText('Nothing.');
    await page.getByRole('button', { name: 'Undo' }).waitFor();
    await isSaved(page);
    await page.goto(`${hub.url}/devices/try/phone`);
    await sync(page);
    await page.getByTestId('held-find').fill('lowther.new');
    await expect(page.getByRole('button', { name: /^Ada Lowther/ })).toContainText(
      'ada.lowther@harbour-mail',
    );
  });

  test(
    'what is changed on the phone while it is offline comes when it is back, and can be taken back',
    ONE_SIZE,
    async ({ page }) => {
      await page.goto(`${hub.url}/devices/try/phone`);
      await isRead(page);
      await page.goto(`${hub.url}/devices`);
      await page.getByTestId('in-step').first().waitFor();
      await page.goto(`${hub.url}/devices/try/phone`);
      await page.getByTestId('online').click();
      await page.getByTestId('held-find').fill('Agnieszka');
      await page
        .getByRole('button', { name: /^Agnieszka/ })
        .first()
        .click();
      await page.getByTestId('held-mails').fill('agnieszka@offline.example');
      await page.getByTestId('held-save').click();
      await expect(page.getByText('not sent yet')).toBeVisible();
      await page.getByTestId('online').click();
      await sync(page);
      await expect(page.getByText('not sent yet')).toBeHidden();
      await expect(page.getByText(/Phone: changed Agnieszka/)).toBeVisible();
      await page.getByRole('button', { name: 'Undo' }).click();
      await isSaved(page);
      await expect
        .poll(async () => {
          await sync(page);
          return page.getByText('agnieszka@offline.example').count();
        })
        .toBe(0);
    },
  );

  test(
    'what a device did stands in the log, of one card as well, and its sync is taken back as a whole',
    ONE_SIZE,
    async ({ page }) => {
      await page.goto(`${hub.url}/devices`);
      await page.getByTestId('in-step').first().waitFor();
      await page.goto(`${hub.url}/devices/try/computer`);
      await page.getByTestId('held-find').fill('Maëlle');
      await page.getByRole('button', { name: /^Maëlle Dessange/ }).click();
      await page.getByTestId('held-mails').fill('wrong@typed.example');
      await page.getByTestId('held-save').click();
      await sync(page);
      await page.goto(`${hub.url}/devices/Computer`);
      await page.getByRole('radio', { name: 'Every hour' }).click();
      await expect(page.getByRole('radio', { name: 'Every hour' })).toBeChecked();
      await page.getByTestId('device-log').click();
      await page
        .getByRole('button', { name: /^The log of this card: Changed Maëlle/ })
        .first()
        .click();
      await expect(page.getByTestId('log-page')).toContainText('Only Maëlle');
      await page.getByTestId('log').getByRole('link').first().click();
      await showDetails(page);
      await expect(page.getByTestId('card-page')).toContainText('wrong@typed.example');
      await page.goto(`${hub.url}/devices/Computer`);
      await page.getByTestId('undo-sync').first().click();
      await expect(page.getByTestId('passport-page')).toContainText('Undone');
      await page.goto(`${hub.url}/devices/log`);
      await page
        .getByRole('link', { name: /^Undid what Computer did to Maëlle/ })
        .first()
        .click();
      await showDetails(page);
      await expect(page.getByTestId('card-page')).not.toContainText('wrong@typed.example');
    },
  );

  test(
    'a message is sent from the mail client and from Write, stands among the talks, and its writer becomes a card',
    ONE_SIZE,
    async ({ page }) => {
      await page.goto(`${hub.url}/devices`);
      await page.getByTestId('in-step').first().waitFor();
      await page.goto(`${hub.url}/devices/try/mail`);
      await page
        .getByRole('button', { name: /Henrike Voss-Amundsen: A quartet/ })
        .first()
        .click();
      await page.getByTestId('sender').click();
      await expect(page.getByTestId('sender-extracted')).toContainText('Nordlys Agentur');
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(violations).toEqual([]);
      await page.getByTestId('sender-add').click();
      await expect(page.getByTestId('card-page')).toContainText('h.voss@nordlys-agentur.example');
      await isSaved(page);
      await page.goto(`${hub.url}/write`);
      await isRead(page);
      await page.getByTestId('write-to').fill('henrike');
      await page
        .getByRole('button', { name: /^Write to Henrike/ })
        .first()
        .click();
      await page.getByTestId('mail-subject').fill('The recording');
      await page.getByTestId('mail-body').fill('Please send it.');
      await page.getByTestId('mail-send').click();
      await expect(page.getByText(/In the outbox: 1 message/)).toBeVisible();
      await expect(page.getByText(/Imported 1 talk from the mailbox/)).toBeVisible({ timeout: 30_000 });
      await page.getByTestId('quick-line').fill('henrike');
      await page
        .getByRole('option', { name: /Henrike/ })
        .first()
        .click();
      await expect(page.getByTestId('card-page')).toContainText('The recording');
      // Taken back for the same test at another size.
      await page.getByTestId('card-more').click();
      await page.getByTestId('many-delete').click();
      await isSaved(page);
    },
  );

  test(
    'a device gets a passport for a list, and it can be paused and removed',
    ONE_SIZE,
    async ({ page }) => {
      await page.goto(`${hub.url}/devices`);
      await page.getByTestId('in-step').first().waitFor();
      await page.getByTestId('connect').click();
      const name = `Tablet ${test.info().project.name}`;
      await page.getByTestId('device-name').fill(name);
      await page.getByRole('radio', { name: 'Cards on certain lists' }).click();
      await page.getByTestId('make-passport').click();
      await expect(page.getByTestId('password')).toHaveText(/^[a-z2-9]{20}$/);
      await page.getByTestId('passport-done').click();
      await expect(page.getByTestId('passport-page')).toContainText('Not synced yet');
      await page.getByTestId('ahead').click();
      await expect(page.getByTestId('passport-page')).toContainText('New on the device:');
      await page.getByTestId('pause').click();
      await expect(page.getByTestId('passport-page').getByText('Paused')).toBeVisible();
      await page.getByTestId('remove').click();
      await page.getByTestId('remove-sure').click();
      await expect(page.getByRole('link', { name: new RegExp(`^${name}`) })).toHaveCount(0);
      // Ended in a browser, the exchange doesn't begin again by itself.
      await page.getByRole('button', { name: 'Stop sharing in this browser' }).click();
      await expect(page.getByTestId('pair')).toContainText('it was ended in this browser');
    },
  );
});

async function sync(page: Page): Promise<void> {
  const done = page.waitForResponse((response) => response.url().endsWith('/sync'));
  await page.getByTestId('held-sync').click();
  expect((await done).ok()).toBe(true);
}

test('two browsers paired with one hub share a book, live', ONE_SIZE, async ({ browser }) => {
  const own = await startHub();
  try {
    const [one, two] = [
      await (await browser.newContext()).newPage(),
      await (await browser.newContext()).newPage(),
    ];
    await one.goto(`${own.url}/book/new`);
    await isRead(one);
    await addCard(one, 'Wren Castell', '020 7946 0011');
    await one.goto(`${own.url}/devices`);
    await one.getByTestId('pair-code').fill(own.code);
    await one.getByTestId('pair-name').fill('At the desk');
    await one.getByTestId('pair-now').click();
    await one.getByTestId('in-step').first().waitFor();
    await one.getByTestId('new-code').click();
    const code = await one.getByTestId('code').textContent();
    await two.goto(`${own.url}/devices`);
    await isRead(two);
    await two.getByTestId('pair-code').fill('WRONG-CODE');
    await two.getByTestId('pair-now').click();
    await expect(two.getByTestId('pair')).toContainText('that code is not valid');
    await two.getByTestId('pair-code').fill(code ?? '');
    await two.getByTestId('pair-now').click();
    await two.getByTestId('in-step').first().waitFor();
    await two.goto(`${own.url}/book`);
    await expect(two.getByRole('link', { name: /Wren Castell/ })).toBeVisible();
    await one.goto(`${own.url}/book/new`);
    await isRead(one);
    await addCard(one, 'Ivo Brandt', '020 7946 0012');
    // Nothing is pressed in the other one: it comes by itself.
    await expect(two.getByRole('link', { name: /Ivo Brandt/ })).toBeVisible();
    // So does what was said.
    await one.getByTestId('note-talk').first().click();
    await one.getByTestId('talk-said').fill('The piano comes on Thursday');
    await one.getByTestId('save-talk').click();
    await two.getByRole('link', { name: /Ivo Brandt/ }).click();
    await expect(two.getByTestId('card-page')).toContainText('The piano comes on Thursday');
  } finally {
    await own.stop();
  }
});

test(
  'the application opens where the hub is off, and what is written then is exchanged when it is back',
  ONE_SIZE,
  async ({ browser }) => {
    // A page of its own: that the hub can't be reached is said on its console, and is meant here.
    const page = await (await browser.newContext()).newPage();
    const data = mkdtempSync(join(tmpdir(), 'cordialis-off-'));
    const first = await startHub([], { data });
    await page.goto(`${first.url}/devices`);
    await page.getByTestId('pair-code').fill(first.code);
    await page.getByTestId('pair-now').click();
    await page.getByTestId('in-step').first().waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready);
    await first.stop();
    await page.goto(`${first.url}/book/new`);
    await isRead(page);
    await addCard(page, 'Wren Castell', '020 7946 0011');
    await page.goto(`${first.url}/devices`);
    await expect(page.getByTestId('devices')).toContainText('1 change waits here');
    const again = await startHub([], { data, port: new URL(first.url).port });
    await expect(page.getByTestId('in-step').first()).toBeVisible({ timeout: 60_000 });
    await again.stop();
    rmSync(data, { recursive: true, force: true });
  },
);
