import { once } from 'node:events';
import { createServer, type IncomingMessage, request, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A proxy before several hubs: each request goes to any of them, and to another where one can't be connected to. */
export class Balancer {
  private constructor(private readonly server: Server) {}

  /** @param pick - says who is asked first, as a number from 0 up to 1 */
  static async start(hubs: readonly { readonly base: string }[], pick: () => number): Promise<Balancer> {
    const server = createServer((asked, answer) => {
      const pieces: Buffer[] = [];
      asked.on('data', (piece: Buffer) => pieces.push(piece));
      asked.on('end', () => {
        const first = Math.floor(pick() * hubs.length);
        const order = hubs.map((_, i) => hubs[(first + i) % hubs.length]?.base ?? '');
        forward({ asked, answer, body: Buffer.concat(pieces) }, order);
      });
    }).listen(0, '127.0.0.1');
    await once(server, 'listening');
    return new Balancer(server);
  }

  get base(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  async end(): Promise<void> {
    this.server.closeAllConnections();
    await new Promise((resolve) => this.server.close(resolve));
  }
}

interface Passed {
  readonly asked: IncomingMessage;
  readonly answer: ServerResponse;
  readonly body: Buffer;
}

function forward({ asked, answer, body }: Passed, [base, ...others]: readonly string[]): void {
  if (base === undefined) {
    answer.writeHead(502).end('no hub answers');
    return;
  }
  const { method, url, headers } = asked;
  const passed = request(`${base}${url ?? '/'}`, { method, headers, agent: false }, (response) => {
    answer.writeHead(response.statusCode ?? 502, response.headers);
    response.pipe(answer);
    // One that ends in the middle ends the answer as well.
    response.on('error', () => answer.destroy());
    response.on('aborted', () => answer.destroy());
  });
  // Whoever has asked is gone, or has it all.
  answer.on('close', () => passed.destroy());
  passed.on('error', (error: NodeJS.ErrnoException) => {
    if (answer.headersSent) answer.destroy();
    // Only what nobody has got is asked of another: the rest may have been done.
    else if (error.code === 'ECONNREFUSED') forward({ asked, answer, body }, others);
    else answer.writeHead(502).end('no hub answers');
  });
  passed.end(body);
}
