import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import type { Unfiled } from '@/core/talks';

/** Unfiled addresses, by address; undefined until they are first needed. */
export interface UnfiledState {
  readonly byAddress: Readonly<Record<string, Unfiled>> | undefined;
}

const initialState: UnfiledState = { byAddress: undefined };

/** Addresses that were written to. */
export const unfiledSlice = createSlice({
  name: 'unfiled',
  initialState,
  reducers: {
    unfiledArrived: (_, { payload }: PayloadAction<Readonly<Record<string, Unfiled>>>) => ({
      byAddress: payload,
    }),
    unfiledChanged: ({ byAddress }, { payload }: PayloadAction<readonly Unfiled[]>) => ({
      byAddress: byAddress && {
        ...byAddress,
        ...Object.fromEntries(payload.map((one) => [one.address, one])),
      },
    }),
  },
  selectors: { selectUnfiledByAddress: ({ byAddress }) => byAddress },
});

export const { unfiledArrived, unfiledChanged } = unfiledSlice.actions;
export const { selectUnfiledByAddress } = unfiledSlice.selectors;
