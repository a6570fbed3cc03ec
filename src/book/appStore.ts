import { combineSlices, configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { setAutoFreeze } from 'immer';

import { cardsSlice } from './cards/cardsSlice';
import { historySlice } from './history/historySlice';
import { rowsSlice } from './rows/rowsSlice';
import type { Services } from './services';
import { settingsSlice } from './settings/settingsSlice';
import { statusSlice } from './status/statusSlice';

// Freezing walks through every card and row that comes in, which a book of ten thousand makes slow; the types keep
// anybody from writing into them.
setAutoFreeze(false);

const rootReducer = combineSlices(cardsSlice, rowsSlice, historySlice, settingsSlice, statusSlice);

/** Everything the page knows. */
export type RootState = ReturnType<typeof rootReducer>;

/** A step with side effects, which reaches the outside through the services. */
export type AppThunk<T = void> = ThunkAction<T, RootState, Services, UnknownAction>;

/** Makes the state of one page. */
export function makeAppStore(services: Services) {
  return configureStore({
    reducer: rootReducer,
    // The checks walk through the whole state after every action, which a book of ten thousand cards makes slow.
    middleware: (defaults) =>
      defaults({ thunk: { extraArgument: services }, immutableCheck: false, serializableCheck: false }),
    devTools: false,
  });
}

/** The state of one page. */
export type AppStore = ReturnType<typeof makeAppStore>;
/** Its dispatch, thunks included. */
export type AppDispatch = AppStore['dispatch'];
