import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import type { StoredNews } from '@/book/history';

/** News by id; undefined until somebody has asked. */
export interface NewsState {
  readonly byId: Readonly<Record<string, StoredNews>> | undefined;
}

const initialState: NewsState = { byId: undefined };

/** What signatures said of people. */
export const newsSlice = createSlice({
  name: 'news',
  initialState,
  reducers: {
    newsArrived: (_, { payload }: PayloadAction<Readonly<Record<string, StoredNews>>>) => ({ byId: payload }),
    newsChanged: (state, { payload }: PayloadAction<readonly StoredNews[]>) =>
      // Where nobody has asked yet, they are read from the store when somebody does.
      state.byId
        ? { byId: { ...state.byId, ...Object.fromEntries(payload.map((one) => [one.news.id, one])) } }
        : state,
  },
  selectors: { selectNewsById: (state) => state.byId },
});

export const { newsArrived, newsChanged } = newsSlice.actions;
export const { selectNewsById } = newsSlice.selectors;
