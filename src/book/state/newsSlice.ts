import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import type { StoredNews } from '@/book/history';

/** News by id; undefined until it is first needed. */
export interface NewsState {
  readonly byId: Readonly<Record<string, StoredNews>> | undefined;
}

const initialState: NewsState = { byId: undefined };

/** News found in signatures and elsewhere. */
export const newsSlice = createSlice({
  name: 'news',
  initialState,
  reducers: {
    newsArrived: (_, { payload }: PayloadAction<Readonly<Record<string, StoredNews>>>) => ({ byId: payload }),
    newsChanged: (state, { payload }: PayloadAction<readonly StoredNews[]>) =>
      // Not loaded yet: it is read from the store when it is first needed.
      state.byId
        ? { byId: { ...state.byId, ...Object.fromEntries(payload.map((one) => [one.news.id, one])) } }
        : state,
  },
  selectors: { selectNewsById: (state) => state.byId },
});

export const { newsArrived, newsChanged } = newsSlice.actions;
export const { selectNewsById } = newsSlice.selectors;
