// npm run -s hub -- VERB …: the hub's own tool, for a machine without a screen. One JSON value on stdout.
import { runProgram } from './programs.mjs';
import { ensureInstalled } from './setup.mjs';

await ensureInstalled({ isToRun: true });
await runProgram('hub-tool', process.argv.slice(2));
