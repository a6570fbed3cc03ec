import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { addCard, expect, isRead, ONE_SIZE, test } from './fixtures';
import { startHub } from './ownHub';

/** The hub's tool, as its owner calls it. */
function tool(data: string, ...args: string[]): void {
  const env = { ...process.env, CORDIALIS_PASSPHRASE: 'harbour lights at nine' };
  const { status, stderr } = spawnSync(process.execPath, ['scripts/hub.mjs', ...args, '--data', data], {
    ...{ encoding: 'utf8', env },
  });
  if (status !== 0) throw new Error(stderr);
}

test(
  'a hub that is restored gets back by itself what was written since, and tells it to whoever joins',
  ONE_SIZE,
  async ({ browser }) => {
    // Pages of their own: that the hub can't be reached is said on their console, and is meant here.
    const page = await (await browser.newContext()).newPage();
    const folder = mkdtempSync(join(tmpdir(), 'cordialis-restored-'));
    const [data, backup] = [join(folder, 'data'), join(folder, 'hub.backup')];
    const first = await startHub([], { data });
    await page.goto(`${first.url}/devices`);
    await page.getByTestId('pair-code').fill(first.code);
    await page.getByTestId('pair-now').click();
    await page.getByTestId('in-step').first().waitFor();
    await page.goto(`${first.url}/book/new`);
    await isRead(page);
    await addCard(page, 'Wren Castell', '020 7946 0011');
    await page.goto(`${first.url}/devices`);
    await page.getByTestId('in-step').first().waitFor();
    tool(data, 'backup', backup);
    await page.goto(`${first.url}/book/new`);
    await isRead(page);
    await addCard(page, 'Ivo Brandt', '020 7946 0012');
    await page.goto(`${first.url}/devices`);
    await page.getByTestId('in-step').first().waitFor();
    await first.stop();
    tool(data, 'restore', backup);
    const again = await startHub([], { data, port: new URL(first.url).port });
    await expect(page.getByTestId('in-step').first()).toBeVisible({ timeout: 60_000 });
    await page.getByTestId('new-code').click();
    const code = await page.getByTestId('code').textContent();
    const other = await (await browser.newContext()).newPage();
    await other.goto(`${again.url}/devices`);
    await isRead(other);
    await other.getByTestId('pair-code').fill(code ?? '');
    await other.getByTestId('pair-now').click();
    await other.getByTestId('in-step').first().waitFor();
    await other.goto(`${again.url}/book`);
    for (const name of [/Wren Castell/, /Ivo Brandt/])
      await expect(other.getByRole('link', { name })).toBeVisible({ timeout: 60_000 });
    await again.stop();
    rmSync(folder, { recursive: true, force: true });
  },
);
