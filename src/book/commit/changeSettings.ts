import {
  type AppThunk,
  rowsReordered,
  rowStyleOf,
  selectCardsByUid,
  selectSettings,
  type Settings,
  settingsArrived,
} from '@/book/state';
import { KEYS } from '@/book/store';

/** Changes settings: shown at once, then written. */
export function changeSettings(some: Partial<Settings>): AppThunk {
  return (dispatch, getState, services) => {
    const settings = { ...selectSettings(getState()), ...some };
    dispatch(applySettings(settings));
    services.writer.put(KEYS.settings, JSON.stringify(settings));
  };
}

/** Applies settings, wherever they come from; a different order or name style rebuilds the rows. */
export function applySettings(settings: Settings): AppThunk {
  return (dispatch, getState) => {
    const before = selectSettings(getState());
    dispatch(settingsArrived(settings));
    const style = rowStyleOf(settings);
    if (JSON.stringify(style) === JSON.stringify(rowStyleOf(before))) return;
    const cards = selectCardsByUid(getState()).values();
    dispatch(rowsReordered({ settings: style, cards }));
  };
}
