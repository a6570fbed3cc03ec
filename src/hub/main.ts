import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';

import { errorMessage } from '@/core/base';
import { Metrics } from '@/hub/api';
import { COUNTRY, faultOf, type HubLog, openLog } from '@/hub/base';
import { holdStore, type HubDb, keepApart, notMoved, openStore, seedDemo, takeCalendars } from '@/hub/store';
import { makeCode } from '@/hub/sync';

import { clockProblems } from './doctor';
import { type Ending, endWell } from './endWell';
import { listen } from './listen';
import { makeHub } from './makeHub';
import { readSettings, type Settings } from './readSettings';
import { runChores } from './runChores';
import { runVisits } from './runVisits';
import { stageDemo } from './stageDemo';
import { stageDirectory } from './stageDirectory';

// On a machine with much memory the heap would double before it is collected: a third less in all, and as quick.
setFlagsFromString('--heap-growing-percent=40');

/** Starts the hub: `main.ts [--demo]`, and what the environment says. */
async function main(): Promise<void> {
  const settings = readSettings(process.argv, process.env);
  const { isDemo, webRoot, names, trustProxy } = settings;
  const db = await openOwn(settings);
  const log = openLog(process.env, settings.dataRoot);
  log.info({ demo: isDemo, node: process.version }, 'starts');
  await checkClock(db, log);
  const today = new Date().toISOString().slice(0, 10);
  const isNew = isDemo && (await seedDemo(db, today));
  if (isDemo) await stageDirectory(db, today);
  const hasBrowsers = await db.selectFrom('browsers').select('id').limit(1).executeTakeFirst();
  const code = isDemo || hasBrowsers ? undefined : await makeCode(db, Date.now());
  const metrics = new Metrics(db);
  const hub = makeHub({
    ...{ webRoot, db, log, metrics, names },
    ...(isDemo ? { demoDay: today } : {}),
    ...(trustProxy === undefined ? {} : { trustProxy }),
  });
  const [visits, chores] = [new Running(), new Running()];
  const ready = (base: string) => {
    if (code !== undefined)
      console.log(
        `To let a browser exchange cards with the hub, give it this code within ten minutes: ${code}`,
      );
    console.log(`Cordialis ${isDemo ? '(demo) ' : ''}is at ${base}`);
    const staged = isNew ? stageDemo(db, base, today) : Promise.resolve();
    void staged
      .catch((error: unknown) => log.error({ fault: faultOf(error) }, 'the demo’s devices are not in use'))
      .then(() => {
        visits.begin(() => runVisits({ db, base, country: COUNTRY, log, metrics }));
        chores.begin(() => runChores({ db, log, retention: settings.retention }));
      });
  };
  const servers = listen({ hub, settings, metrics, log, fail, ready });
  endOnSignal({
    ...{ servers, log },
    tellListeners: () => {
      visits.end();
      chores.end();
      hub.emit('ending');
    },
    close: () => db.destroy(),
  });
}

/** Opens the store that a hub is started on. @throws Error in words */
async function openOwn({ dataRoot, address, isDemo }: Settings): Promise<HubDb> {
  // Before it is opened: nobody changes it under another. Several may be at a store that lies elsewhere.
  if (address === undefined && !(await holdStore(dataRoot)))
    throw new Error(
      `another hub is using ${dataRoot}; end it first, or set CORDIALIS_DATA to another folder`,
    );
  const db = await openStore(dataRoot, address);
  await keepApart(db, isDemo ? 'demo' : 'own', dataRoot);
  await notMoved(db);
  await takeCalendars(db, join(dataRoot, 'calendars'));
  return db;
}

async function checkClock(db: HubDb, log: HubLog): Promise<void> {
  for (const said of await clockProblems(db, Date.now())) {
    log.warn('the clock is behind what was written');
    console.error(said);
  }
}

/** What begins when all is ready, unless it has ended by then. */
class Running {
  private stop: (() => void) | undefined;
  private hasEnded = false;

  begin(run: () => () => void): void {
    if (!this.hasEnded) this.stop = run();
  }

  end(): void {
    this.hasEnded = true;
    this.stop?.();
  }
}

/** How long after the first a second signal is somebody's impatience, in milliseconds. */
const AGAIN_MS = 1000;

/** Ends the hub when it is asked to. */
function endOnSignal(ending: Ending): void {
  let since: number | undefined;
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      // Whoever says it again doesn't want to wait; a terminal says it to all its programs, and those to each other.
      if (since !== undefined) return performance.now() - since > AGAIN_MS ? process.exit(1) : undefined;
      since = performance.now();
      ending.log.info({ signal }, 'ends');
      void endWell(ending).then((isDone) => process.exit(isDone ? 0 : 1));
    });
}

function fail(message: string): never {
  console.error(message);
  process.exit(1);
}

main().catch((error: unknown) => fail(errorMessage(error)));
