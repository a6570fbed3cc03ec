import {
  type AppThunk,
  rowsReordered,
  rowStyleOf,
  selectCardsByUid,
  selectSettings,
  type Settings,
  settingsArrived,
} from '@/book/state';

/** Changes settings: shown at once, then written. */
export function changeSettings(some: Partial<Settings>): AppThunk {
  return (dispatch, getState, services) => {
    const before = selectSettings(getState());
    const settings = { ...before, ...some };
    dispatch(applySettings(settings));
    services.writer.putSettings(before, settings);
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
