// npm run build: the application for the web, and the programs that run in Node.
import { ensureProgram } from './programs.mjs';
import { ensureInstalled } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

await ensureInstalled();
for (const name of ['hub', 'hub-tool', 'book']) await ensureProgram(name);
await ensureWebBuild();
