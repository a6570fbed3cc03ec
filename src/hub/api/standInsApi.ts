import express, { type Request, type Response, Router } from 'express';
import { z } from 'zod';

import { errorMessage } from '@/core/base';
import { shownAs } from '@/core/card';
import type { HeldCardView, StandInStatus } from '@/core/sync';
import {
  addHeld,
  addStandIn,
  duplicateHeld,
  editHeld,
  everyMinutesOf,
  findStandIn,
  isStandInKind,
  keepStandIn,
  removeHeld,
  resetStandIn,
  STAND_INS,
  type StandInKind,
  type StandInState,
  visitNow,
} from '@/hub/standins';
import type { HubDb } from '@/hub/store';
import { texts } from '@/texts/hub/api';

import { describeIssue } from './describeIssue';

const text = z.string().max(500);
const editSchema = z.object({
  name: text.min(1),
  phones: z.array(text).max(20),
  mails: z.array(text).max(20),
});
const offlineSchema = z.object({ isOffline: z.boolean() });

/** The simulated devices, used as if held in the hand; for paired browsers. */
export function standInsApi(db: HubDb): Router {
  const router = Router();
  router.use(express.json({ limit: '1mb' }));
  router.post(
    '/:kind',
    forKind(async (kind, _, response) => {
      await addStandIn(db, kind);
      response.status(201).json(await standInNow(db, kind));
    }),
  );
  router.get(
    '/:kind',
    forKind(async (kind, _, response) => {
      const now = await standInNow(db, kind);
      if (!now) return void response.status(404).json({ error: texts.thatDeviceIsNotInUse });
      response.set('Cache-Control', 'no-store').json(now);
    }),
  );
  router.post(
    '/:kind/sync',
    forKind(async (kind, request, response) => {
      response.json(await inWords(response, () => visitNow(db, kind, baseOf(request))));
    }),
  );
  router.post(
    '/:kind/reset',
    forKind(async (kind, _, response) => {
      await resetStandIn(db, kind);
      response.status(204).end();
    }),
  );
  router.put(
    '/:kind/offline',
    forKind((kind, request, response) => {
      const { isOffline } = offlineSchema.parse(request.body);
      return change(kind, response, (state) => ({ ...state, isOffline, next: new Date().toISOString() }));
    }),
  );
  router.post(
    '/:kind/cards',
    forKind((kind, request, response) => {
      const edit = editSchema.parse(request.body);
      return change(kind, response, (state) => addHeld(STAND_INS[kind], state, edit));
    }),
  );
  router.put(
    '/:kind/cards/:uid',
    forKind((kind, request, response) => {
      const edit = editSchema.parse(request.body);
      return change(kind, response, (state) => editHeld(STAND_INS[kind], state, uidOf(request), edit));
    }),
  );
  router.post(
    '/:kind/cards/:uid/duplicate',
    forKind((kind, request, response) =>
      change(kind, response, (state) => duplicateHeld(state, uidOf(request))),
    ),
  );
  router.delete(
    '/:kind/cards/:uid',
    forKind((kind, request, response) =>
      change(kind, response, (state) => removeHeld(state, uidOf(request))),
    ),
  );
  return router;

  async function change(
    kind: StandInKind,
    response: Response,
    to: (state: StandInState) => StandInState,
  ): Promise<void> {
    const state = await findStandIn(db, kind);
    if (!state) return void response.status(404).json({ error: texts.thatDeviceIsNotInUse });
    await keepStandIn(db, kind, to(state));
    response.json(await standInNow(db, kind));
  }
}

type Handle = (kind: StandInKind, request: Request, response: Response) => Promise<void>;

/** Checks the kind and reports faults in the request. */
function forKind(handle: Handle) {
  return async (request: Request, response: Response): Promise<void> => {
    const kind = String(request.params['kind']);
    if (!isStandInKind(kind)) return void response.status(404).json({ error: texts.thereIsNoSuchDevice });
    try {
      await handle(kind, request, response);
    } catch (error) {
      if (!(error instanceof z.ZodError)) throw error;
      response.status(400).json({ error: describeIssue(error) });
    }
  };
}

function uidOf(request: Request): string {
  return String(request.params['uid']);
}

/** The hub as the device finds it: over the network, on this machine. */
function baseOf(request: Request): string {
  return `http://127.0.0.1:${request.socket.localPort ?? 0}`;
}

async function inWords<T>(
  response: Response,
  work: () => Promise<T>,
): Promise<T | { readonly error: string }> {
  try {
    return await work();
  } catch (error) {
    response.status(409);
    return { error: errorMessage(error) };
  }
}

async function standInNow(db: HubDb, kind: StandInKind): Promise<StandInStatus | undefined> {
  const state = await findStandIn(db, kind);
  if (!state) return undefined;
  const { name } = STAND_INS[kind];
  const everyMinutes = everyMinutesOf(kind, state);
  const cards = Object.entries(state.cards)
    .filter(([, held]) => held.state !== 'deleted')
    .map(([uid, { card, state: how }]): HeldCardView => ({
      uid,
      name: shownAs(card),
      phones: Object.values(card.phones ?? {}).map(({ number }) => number),
      mails: Object.values(card.emails ?? {}).map(({ address }) => address),
      isGroup: card.kind === 'group',
      isWaiting: how !== 'same',
    }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en-GB'));
  const waiting = Object.values(state.cards).filter((held) => held.state !== 'same').length;
  return { kind, name, everyMinutes, isOffline: state.isOffline, next: state.next, waiting, cards };
}
