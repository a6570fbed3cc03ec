// npm run -s book -- VERB …: the core on files. Whatever has to be installed first is told on stderr only.
import { spawnSync } from 'node:child_process';

import { binPath, ensureInstalled, ROOT } from './setup.mjs';

const log = console.log;
console.log = console.error;
ensureInstalled();
console.log = log;
const started = process.env.INIT_CWD ?? process.cwd();
const result = spawnSync(
  process.execPath,
  [
    binPath('tsx'),
    '--tsconfig',
    `${ROOT}/tsconfig.json`,
    `${ROOT}/src/cli/main.ts`,
    ...process.argv.slice(2),
  ],
  { cwd: started, stdio: 'inherit' },
);
process.exit(result.status ?? 1);
