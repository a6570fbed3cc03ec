// npm run bench: the figures that the design sets aims for, on generated books; kept in .bench/latest.json.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { ensureChromium } from './chromium.mjs';
import { installPackages } from './debian.mjs';
import { startPostgres } from './postgres.mjs';
import { ensureProgram } from './programs.mjs';
import { ensureInstalled, fail, ROOT } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

await ensureInstalled();
// npm run bench -- histories: only the many random histories of devices and browsers, which take an hour.
if (process.argv.includes('histories')) tryHistories();
// npm run bench -- kills: only a hub that is killed two hundred times under load, which takes some minutes.
if (process.argv.includes('kills')) tryKills();
// Only here, as it may have been installed just now.
const { buildSync } = await import('esbuild');
process.env.HUB_PROGRAM = await ensureProgram('hub');
// npm run bench -- beside: the hub on both databases, and another CardDAV server, under the same load.
if (process.argv.includes('beside')) await measureOnBoth('beside');
// npm run bench -- load: how many devices one machine carries.
if (process.argv.includes('load')) await measureOnBoth('load');
// npm run bench -- large: a large book with photos and many devices.
if (process.argv.includes('large')) await measureOnBoth('large');
process.env.CHROMIUM = ensureChromium();
await ensureWebBuild();

bundle('memory');
// npm run bench -- moving: that part alone, as JSON; so core, line, duplicates, hub, write, browser and slow.
const [only] = process.argv.slice(2);
if (only) {
  console.log(JSON.stringify(measure(only), undefined, 2));
  process.exit(0);
}
const core = measure('core');
const line = measure('line');
const hub = measure('hub');
const write = measure('write');
const browser = measure('browser');
const moving = measure('moving');
const slow = measure('slow');
const large = browser.bySize[11000];
const rows = [
  ['reading 11,000 vCards, times ical.js alone', core.reading.ratio, '≤ 1.5'],
  ['search, a keystroke, 11,000 cards, 95th percentile, ms', core.search[0].keystrokeP95Ms, '≤ 8'],
  ['search, a keystroke, 100,000 cards, 95th percentile, ms', core.search[1].keystrokeP95Ms, '≤ 50'],
  [
    'a sentence, a keystroke, understood and found, 11,000 cards, 95th percentile, ms',
    line[0].key.p95Ms,
    '≤ 8',
  ],
  ['the same with 100,000 cards, ms', line[1].key.p95Ms, '≤ 40'],
  ['planning Today over 11,000 cards, ms', core.today.planMs, '≤ 20'],
  ['duplicates over 11,000 cards, ms', core.duplicates[0].ms, '≤ 1500'],
  ['duplicates over 100,000 cards, ms', core.duplicates[1].ms, '≤ 20000'],
  ['duplicates over 11,000 cards, precision', core.duplicates[0].precision, '≥ 0.98'],
  ['duplicates over 11,000 cards, recall', core.duplicates[0].recall, '–'],
  ['merging ten cards of one person, ms', core.mergeTenMs, '≤ 50'],
  ['merging 10,000 cards that both sides have changed, ms', core.mergeThreeMs, '≤ 2000'],
  ['reading 900,000 messages as talks, ms a thousand', core.mail.perThousandMs, '–'],
  ['reading 900,000 messages as talks, MB of heap', core.mail.heapMb, '≤ 100'],
  ['first sync of 11,000 cards to a device, ms', hub.firstSyncMs, '≤ 10000'],
  ['a sync with nothing new, 11,000 cards, ms', hub.nothingNewMs, '≤ 20'],
  ['a sync with 100 changes, 11,000 cards, ms', hub.hundredMs, '–'],
  ['16 devices for the first time at once, 11,000 cards, ms', hub.manyDevicesMs, '–'],
  ['new cards from a device in a second, one after the other', hub.putsPerSecond, '–'],
  ['a new card from a device, 11,000 cards, ms', hub.putMs, '–'],
  ['a message to 2,000 people on lists of lists, ms', write.recipientsMs, '< 100'],
  [
    'completion, 11,000 cards and 20,000 entries of the directory, 95th percentile, ms',
    write.completionP95Ms,
    '< 16',
  ],
  ['50 readers searching 20,000 entries at once, an answer, 95th percentile, ms', write.readersP95Ms, '–'],
  ['the same, answers in a second', write.readerAnswersPerSecond, '–'],
  [`writes lost of ${hub.answeredWrites} answered, ${hub.kills} times killed`, hub.lostWrites, '0'],
  ['first row of the Book, 11,000 cards, times that with 240', browser.paintRatio, '≤ 1.3'],
  ['scrolling 11,000 rows, longest frame, ms', large.longestFrameMs, '≤ 50'],
  ['script of the first page, compressed, kB (420 at most)', browser.firstPageScriptKb, '300'],
  [
    'first row of the Book with 900,000 talks stored, times that with none',
    browser.talks.paintRatio,
    '≤ 1.3',
  ],
  ['memory of the tab with 11,000 cards and 900,000 talks, MB of script heap', browser.talks.heapMb, '< 300'],
  ['memory of the tab with 11,000 cards, MB of script heap', large.heapMb, '< 300'],
  ['importing 11,000 cards, longest task of the page, ms', large.importTaskMs, '< 100'],
  ...[
    ['backing up', moving.backup],
    ['restoring', moving.restored],
    ['exporting', moving.exported],
  ].flatMap(([what, { longestTaskMs, heapMb, seconds }]) => [
    [
      `${what} 11,000 cards, 900,000 talks, 2,000 photos, longest task of the page, ms`,
      longestTaskMs,
      '< 100',
    ],
    [`${what} them, MB of the page's script heap at most`, heapMb, '< 300'],
    [`${what} them, s`, seconds, '–'],
  ]),
  ...Object.entries(slow).flatMap(([page, { frameMs, wordsMs, usableMs, blankMs, shift }]) => [
    [`/${page} with the processor slowed six times, something stands, ms`, frameMs, '300'],
    [`  its first true words, ms`, wordsMs, '1500'],
    [`  it can be used, ms`, usableMs, '2500'],
    [`  nothing stood there, ms`, blankMs, '0'],
    [`  by how much it moved`, shift, '< 0.02'],
  ]),
  ['reading 100,000 vCards, times ical.js alone', core.readingMore.ratio, '≤ 1.5'],
  ['memory while reading 11,000 vCards, times ical.js alone', core.memory[0].ratio, '≤ 1.5'],
  ['memory while reading 100,000 vCards, times ical.js alone', core.memory[1].ratio, '≤ 1.5'],
];
console.log('');
for (const [what, figure, aim] of rows)
  console.log(`${String(what).padEnd(62)} ${String(figure).padStart(8)}   aim ${aim}`);
mkdirSync(join(ROOT, '.bench'), { recursive: true });
writeFileSync(
  join(ROOT, '.bench', 'latest.json'),
  `${JSON.stringify({ core, line, hub, write, browser, moving, slow }, undefined, 2)}\n`,
);
console.log('\nAll figures are in .bench/latest.json.');

/** Fifty thousand histories, half in each of the two files of tests that try them; other ones each time. */
function tryHistories() {
  const seed = Number(process.env.SEED ?? Math.floor(Math.random() * 1e9));
  console.log(`Trying 50,000 random histories, from seed ${seed} …`);
  tryTests('unit/convergence', { HISTORIES: '25000', SEED: String(seed) });
}

async function measureOnBoth(part) {
  if (part === 'beside' && !existsSync('/usr/share/php/Sabre/DAV'))
    installPackages(['php-sabre-dav', 'php-sqlite3', 'php-cli']);
  const postgres = await startPostgres({ isDurable: true });
  if (postgres) process.env.BENCH_POSTGRES = postgres.address;
  console.log(JSON.stringify(measure(part), undefined, 2));
  await postgres?.end();
  process.exit(0);
}

function tryKills() {
  tryTests('unit/kills', { KILLS: process.env.KILLS ?? '200' });
}

/** Runs some unit tests, and ends as they do. */
function tryTests(pattern, env) {
  const { status } = spawnSync(
    process.execPath,
    ['node_modules/jest/bin/jest.js', '--selectProjects', 'core', '--testPathPattern', pattern],
    { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } },
  );
  process.exit(status ?? 1);
}

function measure(part) {
  console.log(`Measuring: ${part} …`);
  const result = spawnSync(process.execPath, ['--expose-gc', bundle(part)], {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: process.env,
  });
  if (result.status !== 0) fail(`The figures of ${part} could not be measured; the lines above say why.`);
  return JSON.parse(result.stdout.trim().split('\n').at(-1));
}

/** Bundled as the application is: what runs TypeScript as it stands adds a call to every function it makes. */
function bundle(part) {
  const outfile = join(ROOT, '.bench', `${part}.mjs`);
  buildSync({
    entryPoints: [join(ROOT, 'scripts', 'bench', `${part}.ts`)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: { '@': join(ROOT, 'src') },
    logLevel: 'error',
  });
  return outfile;
}
