// npm run build: the application for the web, and the programs that run in Node.
import { ensurePrograms } from './programs.mjs';
import { ensureInstalled } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

await ensureInstalled();
await ensurePrograms();
await ensureWebBuild();
