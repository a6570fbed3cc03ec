// Everything a card can hold, in and out: as a person does it.
import { readFileSync } from 'node:fs';

import type { Page } from '@playwright/test';
import { unzipSync, zipSync } from 'fflate';

import { addCard, DEMO, expect, find, isRead, isSaved, ONE_SIZE, openDemo, OWN, test } from './fixtures';

async function choose(page: Page, testId: string, name: string, content: string | Uint8Array): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByTestId(testId).click();
  const buffer = typeof content === 'string' ? Buffer.from(content) : Buffer.from(content);
  await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer });
}

async function openOwn(page: Page, path: string): Promise<void> {
  await page.goto(OWN + path);
  await isRead(page);
}

const TABLE =
  'Anrede;Vorname;Name;Handy;Schuhgröße\nFrau;Ottilie;Quast;+49 160 1234567;39\n;Bram;de Wit;;44\n';

test(
  'a table is matched, changed by hand, taken in once, and remembered for the next file',
  ONE_SIZE,
  async ({ page }) => {
    await openOwn(page, '/import');
    await choose(page, 'choose-files', 'people.csv', TABLE);
    const mapping = page.getByTestId('import-mapping');
    await expect(mapping).toContainText('a table of 2 rows');
    await page.getByRole('button', { name: 'Anrede: Title. Change' }).click();
    await page.getByRole('radio', { name: 'Left out' }).click();
    await expect(page.getByTestId('mapping-cards')).toContainText('Ottilie Quast');
    await page.getByTestId('confirm-columns').click();
    await page.getByTestId('do-import').click();
    await expect(page.getByTestId('import-done')).toContainText('2 cards imported from people.csv');
    await isSaved(page);

    await page.getByRole('button', { name: 'Import another file' }).click();
    await choose(page, 'choose-files', 'people again.csv', TABLE);
    await expect(mapping).toContainText('matched as you did for the last such file');
    await page.getByTestId('confirm-columns').click();
    await expect(page.getByTestId('import-preview')).toContainText('There is nothing new in it.');
  },
);

test('pasted text and an archive of several files are taken in like files', ONE_SIZE, async ({ page }) => {
  await openOwn(page, '/import');
  await page.getByTestId('paste-text').click();
  await page.getByTestId('import-text').fill('BEGIN:VCARD\nVERSION:2.1\nN:Ek;Bo\nEND:VCARD');
  await page.getByTestId('read-text').click();
  await expect(page.getByTestId('import-preview')).toContainText('Bo Ek');
  await page.getByRole('button', { name: 'Cancel' }).click();
  const text = (value: string) => new TextEncoder().encode(value);
  const archive = zipSync({
    'a.vcf': text('BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ada Lowther\r\nEND:VCARD\r\n'),
    'notes.txt': text('nothing to see'),
    'more/b.csv': text('Name,Mail\nCy Dee,cy@example.org\n'),
  });
  await choose(page, 'choose-files', 'all.zip', archive);
  await page.getByTestId('confirm-columns').click();
  await expect(page.getByTestId('import-preview')).toContainText('2 new cards');
  await expect(page.getByTestId('import-problems')).toContainText('notes.txt');
});

test(
  'a relation typed on one card appears on the other, which is made if need be',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/book/new');
    await page.getByTestId('field-name').fill('Zelda Quast');
    await page.getByTestId('add-part').click();
    await page.getByTestId('add-part-filter').fill('fam');
    await page.getByTestId('add-part-relations').click();
    await page.getByTestId('related-0').fill('Zora Quast');
    await page.getByTestId('label-relations.0').click();
    await page.getByRole('radio', { name: 'sibling' }).click();
    await page.getByTestId('save-card').click();
    const people = page.getByRole('link', { name: 'People, Zora Quast, sibling' });
    await people.click();
    await expect(page.getByTestId('card-name')).toHaveText('Zora Quast');
    await expect(page.getByRole('link', { name: 'People, Zelda Quast, sibling' })).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByTestId('card-page')).toHaveCount(0);
  },
);

test('two cards are written one after the other without leaving the form', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/book/new');
  await page.getByTestId('field-name').fill('Erste Quast');
  await page.getByTestId('save-and-next').click();
  await expect(page.getByTestId('field-name')).toHaveValue('');
  await addCard(page, 'Zweite Quast');
  await find(page, 'erste qu', /Erste Quast/);
  await expect(page.getByTestId('card-name')).toHaveText('Erste Quast');
});

test('an organisation shows its people, and its new name reaches them', ONE_SIZE, async ({ page }) => {
  await openDemo(page, '/book/new');
  await page.getByTestId('field-name').fill('Renamed Hall');
  await page.getByRole('radio', { name: 'Organisation', exact: true }).click();
  await page.getByTestId('add-phones').click();
  await page.getByTestId('phone-0').fill('020 7946 0111');
  await page.getByTestId('save-card').click();
  await page.getByTestId('card-page').waitFor();
  await isSaved(page);
  const hall = page.url();
  await page.goto(`${DEMO}/book/new`);
  await isRead(page);
  await page.getByTestId('field-name').fill('Zara Quast');
  await page.getByTestId('field-organization').fill('renamed hall');
  await page.getByTestId('save-card').click();
  await expect(page.getByRole('link', { name: /^Phone there, 020 7946 0111/ })).toHaveAttribute(
    'href',
    'tel:+442079460111',
  );
  await isSaved(page);
  await page.goto(hall);
  await isRead(page);
  await expect(page.getByRole('link', { name: /^People there, Zara Quast/ })).toBeVisible();
  await page.getByTestId('edit-card').click();
  await page.getByTestId('field-name').fill('Harbour Rooms');
  await page.getByTestId('save-card').click();
  await page.getByRole('link', { name: /^People there, Zara Quast/ }).click();
  await expect(page.getByTestId('card-page')).toContainText('Harbour Rooms');
});

test(
  'a photo is cropped, drawn anew without what its file says, and shown on the row',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/book/new');
    await page.getByTestId('field-name').fill('Zoe Quast');
    // A picture made here, as a JPEG that says where it was taken.
    const picture = await page.evaluate(() => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [1600, 1200];
      const context = canvas.getContext('2d');
      if (context) {
        context.fillStyle = '#8c2f45';
        context.fillRect(0, 0, 1600, 1200);
      }
      return canvas.toDataURL('image/jpeg').split(',')[1] ?? '';
    });
    const bytes = Buffer.from(picture, 'base64');
    const exif = Buffer.from('\u00ff\u00e1\u0000\u0016Exif\u0000\u0000TAKEN-AT-HOME', 'latin1');
    await choose(
      page,
      'choose-photo',
      'me.jpg',
      Buffer.concat([bytes.subarray(0, 2), exif, bytes.subarray(2)]),
    );
    await page.getByTestId('keep-photo').click();
    await expect(page.getByTestId('remove-photo')).toBeVisible();
    await page.getByTestId('save-card').click();
    await page.getByTestId('card-page').waitFor();
    await isSaved(page);
    const kept = await page.evaluate(async () => {
      const image = document.querySelector<HTMLImageElement>('[data-testid="card-page"] img');
      await image?.decode();
      return { uri: image?.src ?? '', width: image?.naturalWidth, height: image?.naturalHeight };
    });
    expect(kept.uri).toMatch(/^data:image\/jpeg/);
    expect([kept.width, kept.height]).toEqual([410, 512]);
    expect(Buffer.from(kept.uri.split(',')[1] ?? '', 'base64').toString('latin1')).not.toContain(
      'TAKEN-AT-HOME',
    );
  },
);

test(
  'a file is kept with a card and comes out as it went in; a note leads to another card',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/book/new');
    await page.getByTestId('field-name').fill('Zacharias Quast');
    await page.getByTestId('add-part').click();
    await page.getByTestId('add-part-files').click();
    const bytes = Uint8Array.from({ length: 3000 }, (_, i) => i % 251);
    await choose(page, 'add-files', 'plan.bin', bytes);
    await expect(page.getByTestId('file-0')).toHaveValue('plan.bin');
    await page.getByTestId('add-notes').click();
    await page.getByTestId('note-0').fill('Knows **well**');
    await page.getByTestId('link-note-0').click();
    await page.getByTestId('link-note-name').fill('got ach');
    await page.getByRole('button', { name: 'Link Götz Achterberg' }).click();
    await page.getByTestId('save-card').click();
    await page.getByTestId('card-page').waitFor();
    await isSaved(page);
    await page.reload();
    await isRead(page);
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Files, plan.bin, save' }).click();
    expect(readFileSync(await (await download).path()).equals(Buffer.from(bytes))).toBe(true);
    await page.getByTestId('note-text').getByRole('link', { name: 'Götz Achterberg' }).click();
    await expect(page.getByTestId('card-name')).toHaveText('Götz Achterberg');
  },
);

test(
  'a card goes out as a file, as text and as a code, without notes unless asked',
  ONE_SIZE,
  async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await openDemo(page, '/book/new');
    await page.getByTestId('field-name').fill('Zita Quast');
    await page.getByTestId('add-notes').click();
    await page.getByTestId('note-0').fill('pays late');
    await page.getByTestId('save-card').click();
    await page.getByTestId('send-card').click();
    const sheet = page.getByTestId('send-sheet');
    await expect(sheet.getByRole('img', { name: 'Code with the card of Zita Quast' })).toBeVisible();
    const saved = async () => {
      const download = page.waitForEvent('download');
      await page.getByTestId('send-file').click();
      return readFileSync(await (await download).path(), 'utf8');
    };
    expect(await saved()).not.toContain('pays late');
    await page.getByTestId('send-notes').click();
    expect(await saved()).toContain('pays late');
    await page.getByTestId('send-text').click();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toContain('Zita Quast');
  },
);

test(
  'a backup is restored exactly, and backing that up gives the same data byte for byte',
  ONE_SIZE,
  async ({ page }) => {
    await openDemo(page, '/settings');
    const backUp = async () => {
      const download = page.waitForEvent('download');
      await page.getByTestId('make-backup').click();
      const file = await download;
      expect(file.suggestedFilename()).toMatch(/^Cordialis-backup-.*\.zip$/);
      return new Uint8Array(readFileSync(await file.path()));
    };
    const first = await backUp();
    await find(page, 'got ach', /Götz Achterberg/);
    await page.getByTestId('card-more').click();
    await page.getByTestId('many-delete').click();
    await expect(page.getByText(/^Deleted /)).toBeVisible();
    await isSaved(page);
    await page.goto(`${DEMO}/settings`);
    await isRead(page);
    await choose(page, 'restore-backup', 'backup.zip', first);
    await expect(page.getByTestId('restore-sheet')).toContainText('1 that are not in the book');
    await page.getByTestId('restore-exact').click();
    await page.getByTestId('do-restore').click();
    await expect(page.getByTestId('restore-sheet')).toHaveCount(0);
    await isSaved(page);
    const again = await backUp();
    expect(
      Buffer.from(unzipSync(again)['cards.json'] ?? []).equals(
        Buffer.from(unzipSync(first)['cards.json'] ?? []),
      ),
    ).toBe(true);
  },
);

test(
  'the calendar has an address that a calendar program can follow, until it is turned off',
  ONE_SIZE,
  async ({ page, request }) => {
    await openDemo(page, '/settings');
    await page.getByTestId('calendar-feed').click();
    await expect(page.getByText('This browser has to be paired with the hub first')).toBeVisible();
    // A demo pairs by itself where its devices are.
    await openDemo(page, '/devices');
    await page.getByTestId('in-step').waitFor();
    await isSaved(page);
    await openDemo(page, '/settings');
    await page.getByTestId('calendar-feed').click();
    const address =
      /http\S+\.ics/.exec((await page.getByTestId('calendar-address').textContent()) ?? '')?.[0] ?? '';
    await expect.poll(async () => (await request.get(address)).status()).toBe(200);
    expect(await (await request.get(address)).text()).toContain('RRULE:FREQ=YEARLY');
    await page.getByTestId('calendar-feed').click();
    await expect.poll(async () => (await request.get(address)).status()).toBe(404);
  },
);

test('markup in every value of a card is shown as text and never runs', ONE_SIZE, async ({ page }) => {
  const attack = '<img src=x onerror="window.ran=1">';
  const parts = [
    'FN',
    'NICKNAME',
    'TITLE',
    'ROLE',
    'TEL',
    'EMAIL',
    'NOTE',
    'CATEGORIES',
    'HOBBY',
    'PRONOUNS',
  ];
  const lines = parts.map((name) => `${name}:${attack}`);
  const more = [
    `ORG:${attack};${attack}`,
    `ADR;LABEL="${attack.replaceAll('"', '')}":;;${attack};${attack};;;`,
    `URL:javascript:window.ran=1`,
    `SOCIALPROFILE;VALUE=text;SERVICE-TYPE=x:${attack}`,
    `RELATED;VALUE=text;TYPE=friend:${attack}`,
    `X-OTHER:${attack}`,
    `JSPROP;JSPTR="cordialis.example:fields":{"f1":{"label":"own"\\,"value":"<img src=x onerror=alert(1)>"}}`,
  ];
  const text = ['BEGIN:VCARD', 'VERSION:4.0', 'UID:attack', ...lines, ...more, 'END:VCARD', ''].join('\r\n');
  await openOwn(page, '/import');
  await choose(page, 'choose-files', 'attack.vcf', text);
  await expect(page.getByTestId('import-preview')).toContainText('onerror');
  await page.getByTestId('do-import').click();
  await page.getByTestId('import-done').waitFor();
  await isSaved(page);
  await page.goto(`${OWN}/book/attack`);
  await isRead(page);
  await expect(page.getByTestId('card-name')).toHaveText(attack);
  await page.getByTestId('edit-card').click();
  await page.getByTestId('card-editor').waitFor();
  expect(await page.evaluate(() => 'ran' in window)).toBe(false);
  expect(await page.locator('img[src="x"]').count()).toBe(0);
});
