// Starts the hub over the built application, and ends with it.
import { spawn } from 'node:child_process';

import { ensureProgram } from './programs.mjs';
import { ensureInstalled, ROOT } from './setup.mjs';
import { ensureWebBuild } from './webBuild.mjs';

/**
 * What keeps the hub small. Deriving the key of a password takes 16 MB for a moment; the C library would keep them for
 * each of its threads. A small young generation is collected before it has grown.
 */
const SMALL = {
  flags: ['--max-semi-space-size=2'],
  env: { MALLOC_MMAP_THRESHOLD_: '131072', MALLOC_ARENA_MAX: '2' },
};

/** @param args - for the hub: --demo or nothing */
export async function serve(args) {
  await ensureInstalled({ isToRun: true });
  await ensureWebBuild();
  const hub = await startHub(args, { stdio: 'inherit' });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => hub.kill(signal));
  hub.on('exit', (code) => process.exit(code ?? 0));
}

/** A hub in a process of its own. @param options - those of spawn; what the environment holds beside ours is added */
export async function startHub(args, { env = {}, ...options } = {}) {
  const file = await ensureProgram('hub');
  return spawn(process.execPath, [...SMALL.flags, file, ...args], {
    cwd: ROOT,
    ...options,
    env: { ...process.env, ...SMALL.env, ...env },
  });
}
