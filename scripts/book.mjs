// npm run -s book -- VERB …: the core on files, in the folder where the command was typed.
import { runProgram } from './programs.mjs';
import { ensureInstalled } from './setup.mjs';

await ensureInstalled();
await runProgram('book', process.argv.slice(2), process.env.INIT_CWD ?? process.cwd());
