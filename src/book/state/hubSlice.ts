import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';

import type { RefusedTalk } from '@/book/store';
import type { Uid } from '@/core/card';

/** How this browser is paired, as it is stored. */
export const pairingSchema = z.object({
  token: z.string(),
  /** What the hub calls this browser. */
  name: z.string(),
  /** The epoch of the hub's store in which the cursors are; undefined for a pairing from before there were any. */
  epoch: z.string().optional(),
  /** Whether the hub has been restored to a state before what is known here: what it lacks is pushed again. */
  isAhead: z.boolean().optional(),
  /** The change of the hub up to which everything is here. */
  since: z.number().int().min(0),
  /** Whether every card still has to be pushed. */
  isFirst: z.boolean(),
  /** The talk or setting of the hub up to which all are here; undefined before the first exchange of these. */
  records: z.number().int().min(0).optional(),
});
/** How this browser is paired, as it is stored. */
export type Pairing = z.infer<typeof pairingSchema>;

/** The state of the exchange with the hub. */
export interface HubState {
  readonly pairing: Pairing | undefined;
  /** Exchanging: how many of how many cards, or months of talks, have been sent, where there are many. */
  readonly work: { readonly done: number; readonly total: number; readonly what?: 'months' } | undefined;
  /** Cards, and months with talks, whose changes the hub doesn't know yet. */
  readonly waiting: number;
  readonly toSettle: number;
  /** UTCDateTime of the last exchange on this page; '' for none. */
  readonly lastAt: string;
  /** Why the last one failed; '' where it didn't. */
  readonly fault: string;
  /** Cards that the hub doesn't take, by uid, with its reasons. */
  readonly refused: Readonly<Record<Uid, string>>;
  /** Talks that it doesn't take. */
  readonly refusedTalks: readonly RefusedTalk[];
  /** Grows with every exchange, so that queries to the hub are refreshed. */
  readonly round: number;
}

const initialState: HubState = {
  pairing: undefined,
  work: undefined,
  waiting: 0,
  toSettle: 0,
  lastAt: '',
  fault: '',
  refused: {},
  refusedTalks: [],
  round: 0,
};

/** The state of the exchange with the hub. */
export const hubSlice = createSlice({
  name: 'hub',
  initialState,
  reducers: {
    pairingChanged: (state, { payload }: PayloadAction<Pairing | undefined>) => ({
      ...state,
      pairing: payload,
    }),
    exchangeFinished: (state, { payload }: PayloadAction<Partial<Omit<HubState, 'pairing' | 'round'>>>) => ({
      ...state,
      ...payload,
    }),
    roundEnded: (state) => ({ ...state, round: state.round + 1 }),
  },
  selectors: { selectHub: (state) => state },
});

export const { pairingChanged, exchangeFinished, roundEnded } = hubSlice.actions;
export const { selectHub } = hubSlice.selectors;
