import { ensureInstalled } from './setup.mjs';

ensureInstalled();
const { ensureWebBuild } = await import('./webBuild.mjs');
ensureWebBuild();
