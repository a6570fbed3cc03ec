import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import type { Uid } from '@/core/card';
import type { Cluster, Fault } from '@/core/tidy';

/** What is known of duplicates. */
export interface DuplicatesState {
  /** How far the search is, 0 to 1; undefined while nobody searches. */
  readonly share01: number | undefined;
  /** Undefined until a search has ended. */
  readonly clusters: readonly Cluster[] | undefined;
  /** What is wrong with cards, as it was found last. */
  readonly faults: readonly Fault[];
  /** What was found of cards that have come or changed since; pairs. */
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
  /** What is wrong with them now by themselves; undefined where that was not asked. */
  readonly faults: readonly Fault[] | undefined;
}

/** What was found before stays: it isn't shown while it is mended, and is there again when that is taken back. */
function together(found: readonly Fault[], before: readonly Fault[]): Fault[] {
  const keyOf = ({ uid, code, path }: Fault) => `${code} ${uid} ${path.join(' ')}`;
  const keys = new Set(found.map(keyOf));
  return [...found, ...before.filter((fault) => !keys.has(keyOf(fault)))];
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
    duplicatesFound: (_, { payload }: PayloadAction<BookLook>): DuplicatesState => ({
      share01: undefined,
      ...payload,
      arrived: [],
    }),
    /** Cards were compared with the book: what was found of them before no longer holds. */
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
