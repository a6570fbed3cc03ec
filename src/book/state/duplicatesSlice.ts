import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import type { Uid } from '@/core/card';
import type { Cluster, Fault } from '@/core/tidy';

/** What is known of duplicates. */
export interface DuplicatesState {
  /** Progress of the search, 0 to 1; undefined while there is none. */
  readonly share01: number | undefined;
  /** Undefined until a search has ended. */
  readonly clusters: readonly Cluster[] | undefined;
  /** The faults found last. */
  readonly faults: readonly Fault[];
  /** Pairs found among cards added or changed since. */
  readonly arrived: readonly Cluster[];
}

const initialState: DuplicatesState = { share01: undefined, clusters: undefined, faults: [], arrived: [] };

interface BookLook {
  readonly clusters: readonly Cluster[];
  readonly faults: readonly Fault[];
}

interface Checked {
  /** The cards that were compared with the book. */
  readonly compared: readonly Uid[];
  readonly found: readonly Cluster[];
  /** Their current faults; undefined if not requested. */
  readonly faults: readonly Fault[] | undefined;
}

/** Earlier results stay: a fixed fault isn't shown, and is there again when the fix is undone. */
function together(found: readonly Fault[], before: readonly Fault[]): Fault[] {
  const keyOf = ({ uid, code, path }: Fault) => `${code} ${uid} ${path.join(' ')}`;
  const keys = new Set(found.map(keyOf));
  return [...found, ...before.filter((fault) => !keys.has(keyOf(fault)))];
}

/** The clusters found last. */
export const duplicatesSlice = createSlice({
  name: 'duplicates',
  initialState,
  reducers: {
    searchProgressed: (state, { payload }: PayloadAction<number | undefined>) => ({
      ...state,
      share01: payload,
    }),
    duplicatesFound: (_, { payload }: PayloadAction<BookLook>): DuplicatesState => ({
      share01: undefined,
      ...payload,
      arrived: [],
    }),
    /** Cards were compared with the book, which replaces earlier results for them. */
    arrivalsChecked: (state, { payload }: PayloadAction<Checked>): DuplicatesState => {
      const isOld = ({ uids }: Cluster) =>
        uids.length === 2 && uids.some((uid) => payload.compared.includes(uid));
      return {
        ...state,
        clusters: state.clusters?.filter((cluster) => !isOld(cluster)),
        faults: payload.faults ? together(payload.faults, state.faults) : state.faults,
        arrived: [...payload.found, ...state.arrived.filter((cluster) => !isOld(cluster))],
      };
    },
  },
  selectors: { selectDuplicates: (state) => state },
});

export const { searchProgressed, duplicatesFound, arrivalsChecked } = duplicatesSlice.actions;
export const { selectDuplicates } = duplicatesSlice.selectors;
