import {
  combineSlices,
  configureStore,
  type Middleware,
  type ThunkAction,
  type ThunkDispatch,
  type UnknownAction,
} from '@reduxjs/toolkit';

import { type CardsChanged, cardsChanged } from './actions';
import { cardsReducer } from './cardsSlice';
import { choosingReducer } from './choosingSlice';
import { duplicatesSlice } from './duplicatesSlice';
import { historyReducer } from './historySlice';
import { hubSlice } from './hubSlice';
import { newsSlice } from './newsSlice';
import { rowsReducer } from './rowsSlice';
import type { Services } from './services';
import { settingsSlice } from './settingsSlice';
import { statusSlice } from './statusSlice';
import { talksReducer } from './talksSlice';
import { unfiledSlice } from './unfiledSlice';

const rootReducer = combineSlices(
  {
    cards: cardsReducer,
    rows: rowsReducer,
    history: historyReducer,
    choosing: choosingReducer,
    talks: talksReducer,
  },
  settingsSlice,
  statusSlice,
  unfiledSlice,
  duplicatesSlice,
  hubSlice,
  newsSlice,
);

/** Everything the page knows. */
export type RootState = ReturnType<typeof rootReducer>;

/** A thunk, which reaches the outside through the services. */
export type AppThunk<T = void> = ThunkAction<T, RootState, Services, UnknownAction>;

/** What is done after cards have changed, whoever changed them. */
export type AfterChange = (changed: CardsChanged) => AppThunk<Promise<void>>;

/** Makes the state of one page. The state knows none of the domains, so what follows a change is handed in. */
export function makeAppStore(services: Services, afterChange: AfterChange) {
  const followChanges: Middleware<object, RootState, ThunkDispatch<RootState, Services, UnknownAction>> =
    ({ dispatch }) =>
    (next) =>
    (action) => {
      const result = next(action);
      if (cardsChanged.match(action)) void dispatch(afterChange(action.payload));
      return result;
    };
  return configureStore({
    reducer: rootReducer,
    // The checks traverse the whole state after every action, which is slow with ten thousand cards.
    middleware: (defaults) =>
      defaults({
        thunk: { extraArgument: services },
        immutableCheck: false,
        serializableCheck: false,
      }).concat(followChanges),
    devTools: false,
  });
}

/** The state of one page. */
export type AppStore = ReturnType<typeof makeAppStore>;
/** Its dispatch, thunks included. */
export type AppDispatch = AppStore['dispatch'];
