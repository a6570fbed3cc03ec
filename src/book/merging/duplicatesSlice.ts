import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import type { Cluster } from '@/core/duplicates';

/** What is known of duplicates. */
export interface DuplicatesState {
  /** How far the search is, 0 to 1; undefined while nobody searches. */
  readonly share01: number | undefined;
  /** Undefined until a search has ended. */
  readonly clusters: readonly Cluster[] | undefined;
}

const initialState: DuplicatesState = { share01: undefined, clusters: undefined };

/** Cards that are taken to be the same, as they were found last. */
export const duplicatesSlice = createSlice({
  name: 'duplicates',
  initialState,
  reducers: {
    searchProgressed: (state, { payload }: PayloadAction<number | undefined>) => ({
      ...state,
      share01: payload,
    }),
    duplicatesFound: (_, { payload }: PayloadAction<readonly Cluster[]>): DuplicatesState => ({
      share01: undefined,
      clusters: payload,
    }),
  },
  selectors: { selectDuplicates: (state) => state },
});

export const { searchProgressed, duplicatesFound } = duplicatesSlice.actions;
export const { selectDuplicates } = duplicatesSlice.selectors;
