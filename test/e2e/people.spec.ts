// People over time: reminders, appointments, the year, mail and calendars as talks, addresses without a card.
import { readFile } from 'node:fs/promises';

import type { Page } from '@playwright/test';
import ICAL from 'ical.js';

import { expect, isRead, isSaved, ONE_SIZE, openDemo, OWN, test } from './fixtures';

test('a reminder is set in words, stands on the card and, on its day, on Today', async ({ page }) => {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Zora Quast');
  await page.getByTestId('save-card').click();
  await page.getByTestId('remind').click();
  await page.getByTestId('follow-up-text').fill('Ask again tomorrow about the parts');
  // The day is taken from the text.
  await expect(page.getByText(/^20\d\d-\d\d-\d\d$/)).toBeVisible();
  await page.getByTestId('save-follow-up').click();
  await expect(page.getByTestId('planned-follow-up')).toContainText('Ask again tomorrow about the parts');
  await isSaved(page);
  await page.clock.setSystemTime(new Date(Date.now() + 2 * 86_400_000));
  await page.goto(`${OWN}/today`);
  await isRead(page);
  const followUps = page.getByTestId('part-Follow-ups');
  await expect(followUps).toContainText('Ask again tomorrow about the parts');
  await followUps.getByTestId('follow-up-done').click();
  await expect(followUps).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(followUps).toContainText('Zora Quast');
});

test(
  'an appointment goes out as a calendar file, and what was said takes its place',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/today');
    const meetings = page.getByTestId('part-Meetings');
    await meetings.getByText('Programme for the opening night').click();
    await meetings.getByTestId('open-card').click();
    await page.getByTestId('meet').click();
    await page.getByTestId('meeting-title').fill('Supper; the patrons');
    await page.getByTestId('meeting-day').fill('in ten days');
    await page.getByTestId('meeting-time').fill('1930');
    const download = page.waitForEvent('download');
    await page.getByTestId('send-meeting').click();
    const text = await readFile(await (await download).path(), 'utf8');
    const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
    expect(root.getFirstPropertyValue('method')).toBe('REQUEST');
    const event = new ICAL.Event(root.getFirstSubcomponent('vevent') as ICAL.Component);
    expect([event.summary, event.duration.toSeconds()]).toEqual(['Supper; the patrons', 3600]);
    await expect(page.getByTestId('planned')).toContainText('Supper; the patrons');
    const today = page.getByTestId('planned-meeting').filter({ hasText: 'Programme for the opening night' });
    await today.getByTestId('meeting-note').click();
    await page.getByTestId('talk-said').fill('The octet opens.');
    await page.getByTestId('save-talk').click();
    await expect(today).toHaveCount(0);
    await expect(page.getByTestId('talks')).toContainText('The octet opens.');
    await expect(page.getByTestId('talks')).toContainText('Programme for the opening night');
  },
);

test('the year by month, with a chart that is a table for who doesn’t see it', async ({ page }) => {
  await openDemo(page, '/today');
  await page.getByTestId('to-year').click();
  await expect(page).toHaveURL(/\/today\/year$/);
  await expect(page.getByTestId('year-page')).toContainText(/\d+ days come round until/);
  const months = page.getByTestId('year-page').getByRole('button', { name: /: \d+ days?$/ });
  await expect(months).toHaveCount(12);
  await months.nth(1).click();
  const { width, height } = page.viewportSize() ?? { width: 0, height: 0 };
  const isWide = width >= 900;
  await expect(months.nth(1)).toHaveAttribute(isWide ? 'aria-pressed' : 'aria-expanded', 'true');
  await expect(page.getByRole('table', { name: /Talks by month/ }).getByRole('row')).toHaveCount(13);
  if (!isWide) return;
  // All twelve in sight at once, and the days of the chosen one beside them.
  const last = await months.nth(11).boundingBox();
  expect(last && last.y + last.height).toBeLessThanOrEqual(height);
  const said = Number(/: (\d+)/.exec((await months.nth(2).getAttribute('aria-label')) ?? '')?.[1]);
  await months.nth(2).focus();
  await page.keyboard.press('Space');
  await expect(page.getByTestId('month-days').getByRole('link')).toHaveCount(said);
});

test('how much was talked with somebody stands as bars by year and kind, with a table', async ({ page }) => {
  await openDemo(page, '/book/c0a0d1a1-0000-4000-8a00-000000000095');
  const glance = page.getByTestId('talk-chart').first();
  await expect(glance).toHaveAccessibleName(/^\d+ talks from \d{4} to \d{4}/);
  await glance.click();
  const table = page.getByRole('table', { name: 'Talks by year and kind' });
  await expect(table.getByRole('cell')).toHaveCount(15);
  const cells = await table.getByRole('cell').allTextContents();
  const sum = cells.reduce((all, cell) => all + Number(cell), 0);
  await expect(glance).toHaveAccessibleName(new RegExp(`^${sum} talks `));
});

test(
  'the almanac looks as far ahead as it is told to, for a list or for everybody',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/today');
    const days = page.getByTestId('almanac').getByRole('listitem');
    await expect(days).toHaveCount(28);
    await page.getByTestId('window').click();
    await page.getByTestId('window-days').fill('5');
    await expect(page.getByTestId('keep-window')).toBeDisabled();
    await page.getByTestId('window-days').fill('10');
    await page.getByRole('radio', { name: 'Patrons' }).click();
    await page.getByTestId('keep-window').click();
    await expect(days).toHaveCount(10);
    await expect(page.getByTestId('window')).toContainText('10 days, Patrons');
  },
);

const BOX = [
  'From me@example.org Wed Nov 25 10:00:00 2026',
  'Message-ID: <1@example.org>',
  'Date: Tue, 24 Nov 2026 10:00:00 +0000',
  'From: Me <me@example.org>',
  'To: Zora Quast <zora@example.org>, =?UTF-8?Q?N=C3=ADa_New?= <nia@example.org>',
  'Subject: =?UTF-8?Q?F=C3=AAte?=',
  '',
  'See you there.',
  '',
  'From zora@example.org Wed Nov 25 11:00:00 2026',
  'Message-ID: <2@example.org>',
  'Date: Wed, 25 Nov 2026 11:00:00 +0000',
  'From: zora@example.org',
  'To: me@example.org',
  'Subject: Re: Fete',
  '',
  'I will.',
  '',
].join('\n');

/** A book with one card, which the mailbox speaks of, and the page that reads mailboxes. */
async function openImportWithZora(page: Page) {
  await page.goto(`${OWN}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Zora Quast');
  await page.getByTestId('add-emails').click();
  await page.getByTestId('mail-0').fill('zora@example.org');
  await page.getByTestId('save-card').click();
  await isSaved(page);
  await page.goto(`${OWN}/import/talks`);
  await isRead(page);
}

test(
  'a mailbox becomes talks, once; who has no card is unfiled, and is taken in with their talk',
  ONE_SIZE,
  async ({ page }) => {
    await openImportWithZora(page);
    const choose = async () => {
      const picked = page.waitForEvent('filechooser');
      await page.getByTestId('choose-mail').click();
      await (
        await picked
      ).setFiles({ name: 'box.mbox', mimeType: 'application/mbox', buffer: Buffer.from(BOX) });
    };
    await choose();
    // Nobody has said who the user is; the file gives it away.
    await page.getByTestId('guessed-own').filter({ hasText: 'me@example.org' }).click();
    await page.getByTestId('go-on').click();
    const taken = page.getByTestId('talks-taken');
    await expect(taken).toContainText('2 messages');
    await expect(taken).toContainText('2 talks new.');
    await page.getByRole('button', { name: 'Import other files' }).click();
    await choose();
    await expect(taken).toContainText('0 talks new, 2 known already.');
    await page.getByTestId('to-unfiled').click();
    const row = page.getByTestId('unfiled-row');
    await expect(row).toContainText('Nía New');
    await row.getByTestId('take-in').click();
    await expect(row).toHaveCount(0);
    await page.getByTestId('quick-line').fill('nia new');
    await expect(page.getByRole('option', { name: /Nía New/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('talks')).toContainText('Fête');
  },
);

test('taking an import of talks back leaves the card as it was', ONE_SIZE, async ({ page }) => {
  await openImportWithZora(page);
  await page.getByTestId('own-address').fill('me@example.org');
  await page.getByTestId('add-own-address').click();
  const picked = page.waitForEvent('filechooser');
  await page.getByTestId('choose-mail').click();
  await (await picked).setFiles({ name: 'box.mbox', mimeType: 'application/mbox', buffer: Buffer.from(BOX) });
  await page.getByTestId('undo-talks').click();
  await isSaved(page);
  await page.getByTestId('quick-line').fill('zora');
  await expect(page.getByRole('option', { name: /Zora Quast/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByTestId('reach-row').waitFor();
  await page.getByRole('radio', { name: /^Talks/ }).click();
  await expect(page.getByTestId('talks')).toContainText('None yet');
});

// Half past eleven at night in London: a day earlier in the west, a day later in the east.
for (const [timezoneId, day, tomorrow] of [
  ['America/Los_Angeles', 'Wednesday 25 November', 'Thursday 26 November'],
  ['Asia/Kolkata', 'Thursday 26 November', 'Friday 27 November'],
  ['Pacific/Kiritimati', 'Thursday 26 November', 'Friday 27 November'],
] as const)
  test.describe(timezoneId, () => {
    test.use({ timezoneId });
    test(
      'the day is the one where the user is, for what is due, noted and said',
      ONE_SIZE,
      async ({ page }) => {
        await page.clock.setFixedTime(new Date('2026-11-25T23:30:00Z'));
        await page.goto(`${OWN}/book/new`);
        await isRead(page);
        await page.getByTestId('field-name').fill('Zora Quast');
        await page.getByTestId('save-card').click();
        await page.getByTestId('note-talk').click();
        await page.getByTestId('talk-said').fill('A word before a reload');
        await isSaved(page);
        await page.reload();
        await isRead(page);
        await page.getByTestId('note-talk').click();
        await expect(page.getByTestId('talk-said')).toHaveValue('A word before a reload');
        await page.getByTestId('talk-next').fill('tomorrow');
        await page.getByTestId('save-talk').click();
        await expect(page.getByTestId('standing')).toContainText('Call today');
        await expect(page.getByTestId('standing')).toContainText('due in 1 day');
        await isSaved(page);
        await page.goto(`${OWN}/today`);
        await isRead(page);
        await expect(page.getByText(`Today, ${day}`, { exact: true })).toBeVisible();
        await expect(page.getByRole('button', { name: `${tomorrow}: talk due` })).toBeVisible();
      },
    );
  });

test('what somebody publishes stands among the talks, if the user wants it', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/book/c0a0d1a1-0000-4000-8a00-000000000001');
  await expect(page.getByTestId('post')).toHaveCount(0);
  await page.getByRole('radio', { name: /^Talks/ }).click();
  await page.getByTestId('show-posts').click();
  await expect(page.getByTestId('post').first()).toContainText('Post ·');
  await isSaved(page);
  await page.reload();
  await page.getByRole('radio', { name: /^Talks/ }).click();
  await expect(page.getByTestId('post').first()).toBeVisible();
  await page.getByTestId('hide-posts').click();
  await expect(page.getByTestId('post')).toHaveCount(0);
});
