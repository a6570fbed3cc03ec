import type { HubDb } from '../store/openStore';
import { utcNow } from '../utcNow';
import { STAND_INS } from './kinds';
import type { StandInKind } from './standIn';
import { dropOrphans, findStandIn, keepStandIn } from './standInStore';
import { syncStandIn, type Visit } from './syncStandIn';

/** How often it is looked whose turn it is, in milliseconds. */
const LOOK_MS = 5_000;

const running = new Map<StandInKind, Promise<Visit>>();

/** One visit of a device now. @throws Error in words */
export function visitNow(db: HubDb, kind: StandInKind, base: string): Promise<Visit> {
  const known = running.get(kind);
  if (known) return known;
  const visit = visitOnce(db, kind, base).finally(() => running.delete(kind));
  running.set(kind, visit);
  return visit;
}

async function visitOnce(db: HubDb, kind: StandInKind, base: string): Promise<Visit> {
  const device = STAND_INS[kind];
  const state = await findStandIn(db, kind);
  if (!state) throw new Error(`the ${device.name.toLowerCase()} is not in use`);
  if (state.isOffline) throw new Error(`the ${device.name.toLowerCase()} is offline`);
  const next = new Date(Date.now() + device.everyMinutes * 60_000).toISOString();
  try {
    const done = await syncStandIn(device, state, base);
    // What was typed on the device meanwhile is not lost: it goes with the next visit.
    const now = (await findStandIn(db, kind)) ?? state;
    await keepStandIn(db, kind, {
      ...done.state,
      cards: { ...done.state.cards, ...typedSince(state, now) },
      next,
    });
    return done.visit;
  } catch (error) {
    const now = (await findStandIn(db, kind)) ?? state;
    await keepStandIn(db, kind, { ...now, next });
    throw error;
  }
}

type State = NonNullable<Awaited<ReturnType<typeof findStandIn>>>;

function typedSince(before: State, now: State): State['cards'] {
  return Object.fromEntries(
    Object.entries(now.cards).filter(
      ([uid, held]) => JSON.stringify(held) !== JSON.stringify(before.cards[uid]),
    ),
  );
}

/** Has devices come when it is their turn, as long as the hub runs. @returns stops it */
export function runStandIns(db: HubDb, base: string): () => void {
  const look = async () => {
    await dropOrphans(db);
    for (const kind of Object.keys(STAND_INS) as StandInKind[]) {
      const state = await findStandIn(db, kind);
      if (!state || state.isOffline || state.next > utcNow()) continue;
      // A device that fails comes again at its next turn; its passport says why.
      await visitNow(db, kind, base).catch(() => undefined);
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
