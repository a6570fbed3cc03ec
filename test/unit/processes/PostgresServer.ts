import { type ChildProcessByStdio, spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { createInterface, type Interface } from 'node:readline';
import type { Readable, Writable } from 'node:stream';

/** A PostgreSQL server of a test's own, which may be ended and started again under its feet. */
export class PostgresServer {
  private constructor(
    private readonly child: ChildProcessByStdio<Writable, Readable, null>,
    private readonly lines: Interface,
    readonly address: string,
  ) {}

  static async start(): Promise<PostgresServer> {
    const script = join(__dirname, '../../../scripts/postgres.mjs');
    const child = spawn(process.execPath, [script, '--served'], { stdio: ['pipe', 'pipe', 'inherit'] });
    const lines = createInterface({ input: child.stdout });
    for (;;) {
      const [line] = (await once(lines, 'line')) as [string];
      // Before it, it may say that it is installed.
      if (line.startsWith('postgres://')) return new PostgresServer(child, lines, line);
    }
  }

  /** Ends it as if its machine had failed, and starts it again. */
  async restart(): Promise<void> {
    const again = once(this.lines, 'line');
    this.child.stdin.write('\n');
    await again;
  }

  async end(): Promise<void> {
    const ended = once(this.child, 'exit');
    this.child.stdin.end();
    await ended;
  }
}
