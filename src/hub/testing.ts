import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';

import type { Express } from 'express';

/** A server on a port of this machine; for tests only. */
export interface Listening {
  readonly base: string;
  stop(): Promise<void>;
}

/** Has an application listen on a free port of this machine; for tests only. */
export async function listen(app: Express): Promise<Listening> {
  const server = await new Promise<Server>((resolve) => {
    const one = app.listen(0, '127.0.0.1', () => resolve(one));
  });
  return {
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
