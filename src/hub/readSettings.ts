import { existsSync } from 'node:fs';
import { join } from 'node:path';

import { type Retention, storeAddress } from '@/hub/store';

import { readProxy, readTls, type Tls } from './readTls';
import { metricsPort } from './serveMetrics';

const DEFAULT_PORT = 4870;

/** How a hub is to run, as its arguments and its environment say. */
export interface Settings {
  readonly isDemo: boolean;
  readonly port: number;
  /** The folder of the built application. */
  readonly webRoot: string;
  /** The data folder. */
  readonly dataRoot: string;
  /** Where the store lies, if not in the data folder. */
  readonly address: string | undefined;
  readonly tls: Tls | undefined;
  /** How many proxies stand before it, or their addresses. */
  readonly trustProxy: number | string | undefined;
  /** Names under which other machines reach it. */
  readonly names: readonly string[];
  /** The port for metrics; undefined for none. */
  readonly measuredAt: number | undefined;
  /** How long versions of cards are kept. */
  readonly retention: Retention;
}

/** Reads them. @throws Error in words */
export function readSettings(
  args: readonly string[],
  env: Readonly<Record<string, string | undefined>>,
): Settings {
  const isDemo = args.includes('--demo');
  const port = Number(env['PORT'] ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error('PORT must be a number from 0 to 65535');
  const webRoot = env['CORDIALIS_WEB'] ?? join(process.cwd(), 'dist/web');
  if (!existsSync(join(webRoot, 'index.html')))
    throw new Error(`the application has not been built into ${webRoot}; run npm run build`);
  const tls = readTls(env);
  const trustProxy = readProxy(env);
  const proxied = trustProxy === undefined ? undefined : env['CORDIALIS_NAME'];
  return {
    ...{ isDemo, port, webRoot, tls, trustProxy, measuredAt: metricsPort(env), address: storeAddress(env) },
    dataRoot: env['CORDIALIS_DATA'] ?? join(process.cwd(), isDemo ? 'data-demo' : 'data'),
    retention: {
      years: numberIn(env, 'CORDIALIS_HISTORY_YEARS', 2),
      megabytes: numberIn(env, 'CORDIALIS_HISTORY_MB', 200),
    },
    names: tls ? [tls.name] : proxied === undefined ? [] : [proxied],
  };
}

function numberIn(
  env: Readonly<Record<string, string | undefined>>,
  name: string,
  otherwise: number,
): number {
  const said = env[name] ?? '';
  if (said === '') return otherwise;
  if (!/^\d{1,6}$/.test(said)) throw new Error(`${name} must be a whole number`);
  return Number(said);
}
