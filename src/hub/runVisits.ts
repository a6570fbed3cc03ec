import type { Metrics } from '@/hub/api';
import { faultOf, type HubLog, utcNow } from '@/hub/base';
import {
  dropOrphans,
  everyMinutesOf,
  findStandInHead,
  STAND_INS,
  type StandInKind,
  visitNow,
} from '@/hub/standins';
import { engineOf, type HubDb } from '@/hub/store';
import { listAccounts, syncAccount } from '@/hub/sync';
import { deliverMail } from '@/hub/write';

/** How often due syncs are checked, in milliseconds. */
const LOOK_MS = 3_000;

/** What visits need. */
export interface VisitsContext {
  readonly db: HubDb;
  /** The hub's own address, at which simulated devices find it. */
  readonly base: string;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country: string;
  readonly log: HubLog;
  readonly metrics?: Metrics | undefined;
}

/** Runs due syncs of simulated devices and servers while the hub runs. @returns a function that stops it */
export function runVisits({ db, base, country, log, metrics }: VisitsContext): () => void {
  /** Servers that are being visited: a silent one keeps no other waiting. */
  const underWay = new Set<number>();
  const failed = (device: string | number, error: unknown) => {
    metrics?.visited(true);
    log.warn({ device, fault: faultOf(error) }, 'a visit failed');
  };
  const look = async () => {
    await dropOrphans(db);
    await deliverMail(db, Date.now());
    for (const kind of Object.keys(STAND_INS) as StandInKind[]) {
      const state = await findStandInHead(db, kind);
      if (!state || state.isOffline || !isDue(state.next, everyMinutesOf(kind, state), Date.now())) continue;
      // A device that fails is tried again at its next turn; its passport says why.
      await visitNow(db, kind, base).then(
        () => metrics?.visited(false),
        (error: unknown) => failed(kind, error),
      );
    }
    for (const account of await listAccounts(db)) {
      const { device } = account;
      if (!isDue(account.next, account.everyMinutes, Date.now())) continue;
      if (account.passport.paused === 1 || underWay.has(device)) continue;
      underWay.add(device);
      void syncAccount({ db, now: utcNow(), country }, account)
        .then(
          () => metrics?.visited(false),
          (error: unknown) => failed(device, error),
        )
        .finally(() => underWay.delete(device));
    }
  };
  let isLooking = false;
  const timer = setInterval(() => {
    if (isLooking) return;
    isLooking = true;
    // Of several hubs at a store one makes the visits; where it ends, another goes on.
    void engineOf(db)
      .alone('visits', look)
      .catch((error: unknown) => log.error({ fault: faultOf(error) }, 'visits failed'))
      .finally(() => (isLooking = false));
  }, LOOK_MS);
  return () => clearInterval(timer);
}

/**
 * Whether a visit is due. One that is further off than any was planned when the clock said something else.
 *
 * @param next - UTCDateTime
 */
export function isDue(next: string, everyMinutes: number, nowMs: number): boolean {
  const leftMs = Date.parse(next) - nowMs;
  return leftMs <= 0 || leftMs > everyMinutes * 60_000;
}
