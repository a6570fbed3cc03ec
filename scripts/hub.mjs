// npm run -s hub -- VERB …: the hub's own tool, for a machine without a screen. One JSON value on stdout.
import { spawnSync } from 'node:child_process';

import { binPath, ensureInstalled, ROOT } from './setup.mjs';

const log = console.log;
console.log = console.error;
ensureInstalled();
console.log = log;
const { status } = spawnSync(process.execPath, [binPath('tsx'), 'src/hub/cli.ts', ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
});
process.exit(status ?? 1);
