import { faultOf, type HubLog, utcNow } from '@/hub/base';
import { engineOf, type HubDb, onChange, type Retention, tidyStore } from '@/hub/store';
import { clearShown, type Device, listDevices, makeShown, shapeOf } from '@/hub/sync';

/** How long nothing has changed before what devices see is made ready, in milliseconds: whoever is at work goes first. */
const QUIET_MS = 2000;
/** How often it is looked, where nothing changes, whether the day is over after which what is old is cleared away, in milliseconds. */
const LOOK_MS = 3600 * 1000;

/** What is done when there is time. */
export interface ChoresContext {
  readonly db: HubDb;
  readonly log: HubLog;
  readonly retention: Retention;
  /** For tests. */
  readonly quietMs?: number;
}

/**
 * Makes ready what devices will ask for once the book has come to rest, and clears away what is kept no longer. Of several hubs at a store
 * one does it.
 *
 * @returns a function that stops it
 */
export function runChores({ db, log, retention, quietMs = QUIET_MS }: ChoresContext): () => void {
  let [hasEnded, changes] = [false, 0];
  let timer: ReturnType<typeof setTimeout> | undefined;
  const rest = () => {
    if (hasEnded) return;
    clearTimeout(timer);
    timer = setTimeout(() => void work(), quietMs);
  };
  const work = async () => {
    const then = changes;
    const isOver = () => hasEnded || changes !== then;
    try {
      await engineOf(db).alone('chores', async () => {
        const shapes = await shapesIn(db);
        for (const device of shapes.values()) await makeShown(db, device, isOver);
        const tidied = isOver() ? undefined : await tidyStore(db, retention, utcNow(), isOver);
        if (!tidied) return;
        const shown = await clearShown(db, [...shapes.keys()]);
        log.info({ ...tidied, shown }, 'cleared away what is kept no longer');
      });
    } catch (error) {
      if (!hasEnded) log.warn({ fault: faultOf(error) }, 'what is done when there is time was not');
    }
  };
  const stop = onChange(db, () => {
    changes += 1;
    rest();
  });
  rest();
  const looking = setInterval(rest, LOOK_MS);
  return () => {
    hasEnded = true;
    stop();
    clearTimeout(timer);
    clearInterval(looking);
  };
}

/** What devices see of cards, and one for each that sees it. */
async function shapesIn(db: HubDb): Promise<ReadonlyMap<string, Device>> {
  const devices = (await listDevices(db)).filter(
    ({ direction, scope }) => direction !== 'in' && scope !== 'nothing',
  );
  return new Map(devices.map((device) => [shapeOf(device), device]));
}
