import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A hub of a test's own, with a store of its own: what is exchanged with it is nobody else's. */
export interface OwnHub {
  readonly url: string;
  /** The code that it printed for a first browser; '' in a demo. */
  readonly code: string;
  stop(): Promise<void>;
}

/** Starts a hub. @param args - such as --demo @param at - a folder that outlives it, and a port; else a fresh one and a free one */
export async function startHub(
  args: readonly string[] = [],
  { data, port = '0' }: { readonly data?: string; readonly port?: string } = {},
): Promise<OwnHub> {
  const folder = data ?? mkdtempSync(join(tmpdir(), 'cordialis-hub-'));
  const child = spawn(process.execPath, ['dist/programs/hub/main.mjs', ...args], {
    env: { ...process.env, PORT: port, CORDIALIS_DATA: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const said = await new Promise<string>((resolve, reject) => {
    let text = '';
    child.stdout.on('data', (piece: Buffer) => {
      text += piece.toString();
      if (/is at http:\S+/.test(text)) resolve(text);
    });
    child.on('exit', (code) => reject(new Error(`the hub stopped with ${code ?? 0}`)));
  });
  return {
    url: /is at (http:\S+)/.exec(said)?.[1] ?? '',
    code: /minutes: (\S+)/.exec(said)?.[1] ?? '',
    stop: async () => {
      const gone = new Promise((resolve) => child.once('exit', resolve));
      child.kill('SIGTERM');
      await gone;
      if (data === undefined) rmSync(folder, { recursive: true, force: true });
    },
  };
}
