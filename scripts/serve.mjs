// Starts the hub over the built application, and ends with it.
import { spawn } from 'node:child_process';

import { binPath, ensureInstalled, ROOT } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

/** @param args - for the hub: --demo or nothing */
export function serve(args) {
  ensureInstalled();
  ensureWebBuild();
  const hub = spawn(process.execPath, [binPath('tsx'), 'src/hub/main.ts', ...args], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => hub.kill(signal));
  hub.on('exit', (code) => process.exit(code ?? 0));
}
