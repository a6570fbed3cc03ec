import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');

/** The built program, which is brought up to date first. */
function programFile(): string {
  const script = `import(${JSON.stringify(join(ROOT, 'scripts/programs.mjs'))}).then(async ({ ensureProgram }) => console.log(await ensureProgram('hub')))`;
  const { stdout, stderr } = spawnSync(process.execPath, ['-e', script], { cwd: ROOT, encoding: 'utf8' });
  const file = stdout.trim().split('\n').at(-1);
  if (file === undefined || file === '') throw new Error(stderr);
  return file;
}

async function freePort(): Promise<number> {
  const one = createServer().listen(0, '127.0.0.1');
  await once(one, 'listening');
  const address = one.address();
  one.close();
  await once(one, 'close');
  return typeof address === 'object' && address ? address.port : 0;
}

/** The hub as a process of its own, which may end at any moment. */
export class HubProcess {
  private child: ChildProcess | undefined;
  /** What it has said, all times together. */
  said = '';

  private constructor(
    private readonly program: string,
    /** Its data folder. */
    readonly data: string,
    private readonly web: string,
    private readonly port: number,
    /** The address of its store, where that isn't in the data folder. */
    private readonly store: string | undefined,
  ) {}

  /** With an empty store; not yet begun. @param store - where it is, if not in the data folder */
  static async make(store?: string): Promise<HubProcess> {
    const folder = mkdtempSync(join(tmpdir(), 'cordialis-kills-'));
    writeFileSync(join(folder, 'index.html'), '<html><head></head></html>');
    return new HubProcess(programFile(), join(folder, 'data'), folder, await freePort(), store);
  }

  /** Another over the same store. */
  async beside(): Promise<HubProcess> {
    return new HubProcess(this.program, this.data, this.web, await freePort(), this.store);
  }

  get base(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Begins it, and waits until it is ready. */
  async start(): Promise<void> {
    const env = {
      ...process.env,
      PORT: String(this.port),
      CORDIALIS_WEB: this.web,
      CORDIALIS_DATA: this.data,
      ...(this.store === undefined ? {} : { CORDIALIS_STORE: this.store }),
    };
    const child = spawn(process.execPath, [this.program], { env, stdio: ['ignore', 'pipe', 'pipe'] });
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (piece: Buffer) => (this.said += piece.toString()));
    this.child = child;
    for (;;) {
      if (child.exitCode !== null) throw new Error(`the hub ended: ${this.said}`);
      const isReady = await fetch(`${this.base}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      );
      if (isReady) return;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  }

  /** Ends it without a word, or asks it to end. @returns its exit code */
  async kill(signal: 'SIGKILL' | 'SIGTERM' = 'SIGKILL'): Promise<number | null> {
    const { child } = this;
    if (!child) return null;
    if (child.exitCode !== null) throw new Error(`the hub had ended by itself: ${this.said.slice(-2000)}`);
    const ended = once(child, 'exit') as Promise<[number | null]>;
    child.kill(signal);
    this.child = undefined;
    const [code] = await ended;
    return code;
  }

  /** Ends it, with everything it has on the disk. */
  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.web, { recursive: true, force: true });
  }
}
