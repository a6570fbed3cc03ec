import { aboutOf, setAbout, unsetAbout } from '../about';
import { inTransaction } from '../openStore';
import type { HubDb } from '../schema/tables';

/** Under which name a store says that devices wait. */
const NAME = 'devicesWait';

const waiting = new WeakMap<HubDb, boolean>();

/**
 * Whether devices wait, since a restoration, until a browser has brought back what the backup lacks. A device that came first would
 * be told that what it has had since is gone.
 */
export async function doDevicesWait(db: HubDb): Promise<boolean> {
  if (waiting.get(db) === false) return false;
  const is = (await aboutOf(db, NAME)) !== undefined;
  waiting.set(db, is);
  return is;
}

/** Has devices wait. */
export function haveDevicesWait(db: HubDb): Promise<void> {
  return setAbout(db, NAME, '');
}

/** Lets devices in again. */
export async function letDevicesIn(db: HubDb): Promise<void> {
  if (!(await doDevicesWait(db))) return;
  await inTransaction(db, (store) => unsetAbout(store, NAME));
  waiting.set(db, false);
}
