import type { Server } from 'node:http';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';

import type { Express } from 'express';

import type { Metrics } from '@/hub/api';
import type { HubLog } from '@/hub/base';

import { followCertificate } from './followCertificate';
import type { Settings } from './readSettings';
import { serveMetrics } from './serveMetrics';

/** What listens, and to whom it says so. */
export interface Listening {
  readonly hub: Express;
  readonly settings: Settings;
  readonly metrics: Metrics;
  readonly log: HubLog;
  /** Is told of what a port can't be used for, in words. */
  readonly fail: (message: string) => void;
  /** Is called once this machine is answered. @param base - under which address */
  readonly ready: (base: string) => void;
}

/** Has a hub listen: on this machine, with a certificate over TLS to others, and for metrics. @returns what listens */
export function listen({ hub, settings, metrics, log, fail, ready }: Listening): Server[] {
  const { port, tls, measuredAt } = settings;
  const server = hub.listen(port, '127.0.0.1', (error) => {
    if (error)
      return fail(`port ${port} can't be used (${error.message}); choose another: PORT=4871 npm run demo`);
    ready(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  });
  const servers = [limited(server)];
  if (measuredAt !== undefined)
    servers.push(
      serveMetrics(metrics, measuredAt, log).on('error', (error) =>
        fail(
          `port ${measuredAt} can't be used (${error.message}); choose another with CORDIALIS_METRICS_PORT`,
        ),
      ),
    );
  if (!tls) return servers;
  const secure = createServer({ cert: tls.cert, key: tls.key }, hub).on('error', (error) =>
    fail(`port ${tls.port} can't be used (${error.message}); choose another with CORDIALIS_TLS_PORT`),
  );
  followCertificate(secure, tls, { log, say: console.error });
  secure.listen(tls.port, '0.0.0.0', () =>
    console.log(`Other devices reach it at https://${tls.name}:${tls.port}`),
  );
  return [...servers, limited(secure)];
}

/** How long the head of a request may take, all of it, and how long a connection is kept for another, in milliseconds. */
const [HEAD_MS, WHOLE_MS, IDLE_MS] = [20_000, 120_000, 10_000];

/** Nobody keeps a connection busy by sending slowly. */
function limited(server: Server): Server {
  server.headersTimeout = HEAD_MS;
  server.requestTimeout = WHOLE_MS;
  server.keepAliveTimeout = IDLE_MS;
  return server;
}
