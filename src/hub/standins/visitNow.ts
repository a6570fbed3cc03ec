import type { HubDb } from '@/hub/store';

import { everyMinutesOf, STAND_INS } from './kinds';
import type { StandInKind } from './standIn';
import { findStandIn, keepStandIn } from './standInStore';
import { syncOver, type Visit } from './syncStandIn';

const running = new Map<StandInKind, Promise<Visit>>();

/** Syncs a device now. @throws Error in words */
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
  const next = new Date(Date.now() + everyMinutesOf(kind, state) * 60_000).toISOString();
  try {
    const done = await syncOver(device, state, base);
    // What was typed on the device in the meantime is not lost: it is sent with the next sync.
    const now = (await findStandIn(db, kind)) ?? state;
    await keepStandIn(db, kind, {
      ...done.state,
      ...(now.everyMinutes === undefined ? {} : { everyMinutes: now.everyMinutes }),
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
