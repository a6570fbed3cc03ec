import { utcNow } from '@/hub/base';
import { listAccounts, syncAccount } from '@/hub/dav';
import { dropOrphans, findStandIn, STAND_INS, type StandInKind, visitNow } from '@/hub/standins';
import type { HubDb } from '@/hub/store';
import { deliverMail } from '@/hub/write';

/** How often due syncs are checked, in milliseconds. */
const LOOK_MS = 3_000;

/** Runs due syncs of simulated devices and servers while the hub runs. @returns a function that stops it */
export function runVisits(db: HubDb, base: string, country: string): () => void {
  const look = async () => {
    await dropOrphans(db);
    await deliverMail(db, Date.now());
    for (const kind of Object.keys(STAND_INS) as StandInKind[]) {
      const state = await findStandIn(db, kind);
      if (!state || state.isOffline || state.next > utcNow()) continue;
      // A device that fails is tried again at its next turn; its passport says why.
      await visitNow(db, kind, base).catch(() => undefined);
    }
    for (const account of await listAccounts(db)) {
      if (account.next > utcNow() || account.passport.paused === 1) continue;
      await syncAccount({ db, now: utcNow(), country }, account).catch(() => undefined);
    }
  };
  let isLooking = false;
  const timer = setInterval(() => {
    if (isLooking) return;
    isLooking = true;
    void look()
      .catch(() => undefined)
      .finally(() => (isLooking = false));
  }, LOOK_MS);
  return () => clearInterval(timer);
}
