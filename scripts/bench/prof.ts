import { writeFileSync } from 'node:fs';
import { existsSync } from 'node:fs';
import { fill, isRead, ORIGIN, storeTalks, watchPage, withBrowser } from './bookPage';
const PATH = '/tmp/full.backup';
async function main(): Promise<void> {
  await withBrowser(async (browser) => {
    const newPage = async () => {
      const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
      const page = await context.newPage();
      page.setDefaultTimeout(1_800_000);
      await page.addInitScript(watchPage);
      await page.addInitScript(() => {
        const w = window as unknown as { tasks: [number, number][] };
        w.tasks = [];
        new PerformanceObserver((list) => {
          for (const { startTime, duration } of list.getEntries())
            w.tasks.push([Math.round(startTime), Math.round(duration)]);
        }).observe({ type: 'longtask', buffered: true });
      });
      return page;
    };
    const open = async (page: Awaited<ReturnType<typeof newPage>>) => {
      await page.goto(`${ORIGIN}/settings`);
      await isRead(page);
      await page.waitForTimeout(3000);
      await page.evaluate(() => ((window as unknown as { tasks: unknown[] }).tasks = []));
    };
    if (!existsSync(PATH)) {
      const page = await newPage();
      await fill(page, 11_000);
      await storeTalks(page, 11_000);
      await open(page);
      const s = await page.context().newCDPSession(page);
      await s.send('Profiler.enable');
      await s.send('Profiler.start');
      const download = page.waitForEvent('download', { timeout: 1_800_000 });
      await page.getByTestId('make-backup').click();
      await (await download).saveAs(PATH);
      const { profile } = await s.send('Profiler.stop');
      writeFileSync('/tmp/backup.cpuprofile', JSON.stringify(profile));
      console.error(
        'backup',
        JSON.stringify(await page.evaluate(() => (window as unknown as { tasks: unknown[] }).tasks)),
      );
      await page.context().close();
    }
    const empty = await newPage();
    await open(empty);
    const s = await empty.context().newCDPSession(empty);
    await s.send('Profiler.enable');
    await s.send('Profiler.start');
    const begin = Date.now();
    const chooser = empty.waitForEvent('filechooser');
    await empty.getByTestId('restore-backup').click();
    await (await chooser).setFiles(PATH);
    await empty.getByTestId('do-restore').click();
    console.error('looked through', Date.now() - begin);
    await Promise.race([
      empty.getByTestId('restore-sheet').waitFor({ state: 'detached' }),
      new Promise((r) => setTimeout(r, Number(process.env['FOR'] ?? 90_000))),
    ]);
    console.error('restored', Date.now() - begin);
    const { profile } = await s.send('Profiler.stop');
    writeFileSync('/tmp/restore.cpuprofile', JSON.stringify(profile));
    console.error(
      'restore',
      JSON.stringify(
        await empty.evaluate(() =>
          (window as unknown as { tasks: [number, number][] }).tasks.filter(([, d]) => d > 70),
        ),
      ),
    );
  });
}
void main();
