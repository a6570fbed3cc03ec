import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Whether changes are in the store. "saved" is shown only when they are. */
export type Saving =
  { readonly kind: 'saved' | 'saving' } | { readonly kind: 'failed'; readonly message: string };

/** A short notice, with an undo where there is one. */
export interface Notice {
  readonly id: number;
  readonly text: string;
  readonly tone: 'plain' | 'error';
  /** The change that Undo takes back. */
  readonly changeId?: string;
}

interface StatusState {
  readonly saving: Saving;
  /** Reading the book: how many of how many cards, 0 of 0 until they have been counted; undefined when all are read. */
  readonly reading: { readonly done: number; readonly total: number } | undefined;
  readonly isOpen: boolean;
  /** Why the book could not be opened at all. */
  readonly openFault: string | undefined;
  /** Keys of records that could not be read and were set aside. */
  readonly setAside: readonly string[];
  readonly notices: readonly Notice[];
}

const initialState: StatusState = {
  saving: { kind: 'saved' },
  reading: { done: 0, total: 0 },
  isOpen: false,
  openFault: undefined,
  setAside: [],
  notices: [],
};

/** The state of reading and saving, and the current notice. */
export const statusSlice = createSlice({
  name: 'status',
  initialState,
  reducers: {
    savingChanged: (state, { payload }: PayloadAction<Saving>) => ({ ...state, saving: payload }),
    readingChanged: (state, { payload }: PayloadAction<StatusState['reading']>) => ({
      ...state,
      reading: payload,
    }),
    bookOpened: (state) => ({ ...state, isOpen: true }),
    openFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, openFault: payload }),
    recordsSetAside: (state, { payload }: PayloadAction<readonly string[]>) => ({
      ...state,
      setAside: [...new Set([...state.setAside, ...payload])],
    }),
    setAsideDiscarded: (state) => ({ ...state, setAside: [] }),
    noticeShown: (state, { payload }: PayloadAction<Omit<Notice, 'id'>>) => ({
      ...state,
      // One at a time: a newer notice replaces the older.
      notices: [{ ...payload, id: (state.notices[0]?.id ?? 0) + 1 }],
    }),
    noticeClosed: (state, { payload }: PayloadAction<number>) => ({
      ...state,
      notices: state.notices.filter(({ id }) => id !== payload),
    }),
  },
  selectors: {
    selectSaving: (state) => state.saving,
    selectReading: (state) => state.reading,
    selectIsOpen: (state) => state.isOpen,
    selectOpenFault: (state) => state.openFault,
    selectSetAside: (state) => state.setAside,
    selectNotice: (state): Notice | undefined => state.notices[0],
  },
});

export const {
  savingChanged,
  readingChanged,
  bookOpened,
  openFailed,
  recordsSetAside,
  setAsideDiscarded,
  noticeShown,
  noticeClosed,
} = statusSlice.actions;
export const { selectSaving, selectReading, selectIsOpen, selectOpenFault, selectSetAside, selectNotice } =
  statusSlice.selectors;
