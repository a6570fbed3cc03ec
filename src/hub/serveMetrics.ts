import { createServer, type Server } from 'node:http';

import type { Metrics } from '@/hub/api';
import { faultOf, type HubLog } from '@/hub/base';

/** The port for metrics that the environment names; undefined where it names none. @throws Error in words */
export function metricsPort(env: Readonly<Record<string, string | undefined>>): number | undefined {
  const said = env['CORDIALIS_METRICS_PORT'] ?? '';
  if (said === '') return undefined;
  const port = Number(said);
  if (Number.isInteger(port) && port >= 0 && port <= 65_535) return port;
  throw new Error('CORDIALIS_METRICS_PORT must be a number from 0 to 65535');
}

/** Serves /metrics on a port of its own, to this machine only: no address that others reach leads there. */
export function serveMetrics(metrics: Metrics, port: number, log: HubLog): Server {
  const server = createServer((request, response) => {
    if (request.method !== 'GET' || request.url !== '/metrics') {
      response.writeHead(404).end();
      return;
    }
    metrics.read().then(
      ({ type, text }) => response.writeHead(200, { 'Content-Type': type }).end(text),
      (error: unknown) => {
        log.warn({ fault: faultOf(error) }, 'metrics can’t be read');
        response.writeHead(503).end();
      },
    );
  });
  return server.listen(port, '127.0.0.1');
}
