import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { createServer } from 'node:https';
import { join } from 'node:path';

import { errorMessage } from '@/core/base';
import { Metrics } from '@/hub/api';
import { COUNTRY, faultOf, openLog } from '@/hub/base';
import {
  holdStore,
  keepApart,
  notMoved,
  openStore,
  seedDemo,
  storeAddress,
  takeCalendars,
} from '@/hub/store';
import { makeCode } from '@/hub/sync';

import { clockProblems } from './doctor';
import { endWell } from './endWell';
import { followCertificate } from './followCertificate';
import { makeHub } from './makeHub';
import { readProxy, readTls } from './readTls';
import { runVisits } from './runVisits';
import { metricsPort, serveMetrics } from './serveMetrics';
import { stageDemo } from './stageDemo';
import { stageDirectory } from './stageDirectory';

const DEFAULT_PORT = 4870;

/** Starts the hub: `main.ts [--demo]`; PORT and the built application's folder from the environment. */
async function main(): Promise<void> {
  const isDemo = process.argv.includes('--demo');
  const port = Number(process.env['PORT'] ?? DEFAULT_PORT);
  const webRoot = process.env['CORDIALIS_WEB'] ?? join(process.cwd(), 'dist/web');
  if (!existsSync(join(webRoot, 'index.html')))
    fail(`the application has not been built into ${webRoot}; run npm run build`);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) fail('PORT must be a number from 0 to 65535');
  const tls = readTls(process.env);
  const dataRoot = process.env['CORDIALIS_DATA'] ?? join(process.cwd(), isDemo ? 'data-demo' : 'data');
  const address = storeAddress(process.env);
  // Before it is opened: nobody changes it under another. Several may be at a store that lies elsewhere.
  if (address === undefined && !(await holdStore(dataRoot)))
    fail(`another hub is using ${dataRoot}; end it first, or set CORDIALIS_DATA to another folder`);
  const db = await openStore(dataRoot, address);
  const log = openLog(process.env, dataRoot);
  await keepApart(db, isDemo ? 'demo' : 'own', dataRoot);
  await notMoved(db);
  await takeCalendars(db, join(dataRoot, 'calendars'));
  log.info({ demo: isDemo, node: process.version }, 'starts');
  for (const said of await clockProblems(db, Date.now())) {
    log.warn('the clock is behind what was written');
    console.error(said);
  }
  const today = new Date().toISOString().slice(0, 10);
  const isNew = isDemo && (await seedDemo(db, today));
  if (isDemo) await stageDirectory(db, today);
  const hasBrowsers = await db.selectFrom('browsers').select('id').limit(1).executeTakeFirst();
  const code = isDemo || hasBrowsers ? undefined : await makeCode(db, Date.now());
  const metrics = new Metrics(db);
  const measured = metricsPort(process.env);
  let isEnding = false;
  let endingSince = 0;
  let stopVisits: () => void = () => undefined;
  const trustProxy = readProxy(process.env);
  const proxied = trustProxy === undefined ? undefined : process.env['CORDIALIS_NAME'];
  const hub = makeHub({
    ...{ webRoot, db, log, metrics, names: tls ? [tls.name] : proxied === undefined ? [] : [proxied] },
    ...(isDemo ? { demoDay: today } : {}),
    ...(trustProxy === undefined ? {} : { trustProxy }),
  });
  const server = hub.listen(port, '127.0.0.1', (error) => {
    if (error) fail(`port ${port} can't be used (${error.message}); choose another: PORT=4871 npm run demo`);
    const address = server.address();
    const actual = typeof address === 'object' && address ? address.port : port;
    if (code !== undefined)
      console.log(
        `To let a browser exchange cards with the hub, give it this code within ten minutes: ${code}`,
      );
    console.log(`Cordialis ${isDemo ? '(demo) ' : ''}is at http://127.0.0.1:${actual}`);
  });
  server.on('listening', () => {
    const address = server.address();
    if (typeof address !== 'object' || !address) return;
    const base = `http://127.0.0.1:${address.port}`;
    const staged = isNew ? stageDemo(db, base, today) : Promise.resolve();
    void staged
      .catch((error: unknown) => log.error({ fault: faultOf(error) }, 'the demo’s devices are not in use'))
      .then(() => {
        if (!isEnding) stopVisits = runVisits({ db, base, country: COUNTRY, log, metrics });
      });
  });
  limitTimes(server);
  const servers: Server[] = [server];
  if (measured !== undefined) servers.push(serveMetrics(metrics, measured, log));
  if (tls) {
    const secure = createServer({ cert: tls.cert, key: tls.key }, hub).on('error', (error) =>
      fail(`port ${tls.port} can't be used (${error.message}); choose another with CORDIALIS_TLS_PORT`),
    );
    limitTimes(secure);
    servers.push(secure);
    followCertificate(secure, tls, { log, say: console.error });
    secure.listen(tls.port, '0.0.0.0', () =>
      console.log(`Other devices reach it at https://${tls.name}:${tls.port}`),
    );
  }
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      // Whoever says it again doesn't want to wait; a terminal says it to all its programs, and those to each other.
      if (isEnding) return performance.now() - endingSince > AGAIN_MS ? process.exit(1) : undefined;
      isEnding = true;
      endingSince = performance.now();
      log.info({ signal }, 'ends');
      stopVisits();
      const close = () => db.destroy();
      const tellListeners = () => void hub.emit('ending');
      void endWell({ servers, tellListeners, close, log }).then((isDone) => process.exit(isDone ? 0 : 1));
    });
  }
}

/** How long after the first a second signal is somebody's impatience, in milliseconds. */
const AGAIN_MS = 1000;
/** How long the head of a request may take, all of it, and how long a connection is kept for another, in milliseconds. */
const [HEAD_MS, WHOLE_MS, IDLE_MS] = [20_000, 120_000, 10_000];

/** Nobody keeps a connection busy by sending slowly. */
function limitTimes(server: Server): void {
  server.headersTimeout = HEAD_MS;
  server.requestTimeout = WHOLE_MS;
  server.keepAliveTimeout = IDLE_MS;
}

function fail(message: string): never {
  console.error(message);
  process.exit(1);
}

main().catch((error: unknown) => fail(errorMessage(error)));
