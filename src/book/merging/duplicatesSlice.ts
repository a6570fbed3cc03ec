import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import type { Uid } from '@/core/card';
import type { Cluster } from '@/core/duplicates';

/** What is known of duplicates. */
export interface DuplicatesState {
  /** How far the search is, 0 to 1; undefined while nobody searches. */
  readonly share01: number | undefined;
  /** Undefined until a search has ended. */
  readonly clusters: readonly Cluster[] | undefined;
  /** What was found of cards that have come or changed since; pairs. */
  readonly arrived: readonly Cluster[];
}

const initialState: DuplicatesState = { share01: undefined, clusters: undefined, arrived: [] };

interface Checked {
  /** The cards that were compared. */
  readonly uids: readonly Uid[];
  readonly found: readonly Cluster[];
}

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
      arrived: [],
    }),
    /** Cards were compared with the book: what was found of them before no longer holds. */
    arrivalsChecked: (state, { payload }: PayloadAction<Checked>): DuplicatesState => {
      const isOld = ({ uids }: Cluster) =>
        uids.length === 2 && uids.some((uid) => payload.uids.includes(uid));
      return {
        ...state,
        clusters: state.clusters?.filter((cluster) => !isOld(cluster)),
        arrived: [...payload.found, ...state.arrived.filter((cluster) => !isOld(cluster))],
      };
    },
  },
  selectors: { selectDuplicates: (state) => state },
});

export const { searchProgressed, duplicatesFound, arrivalsChecked } = duplicatesSlice.actions;
export const { selectDuplicates } = duplicatesSlice.selectors;
