import type { AppThunk } from './appStore';
import type { SideChange } from './history/change';
import { keepNews } from './news/keepNews';
import { changeSettings } from './settings/changeSettings';
import { editedSettings } from './settings/settingsEdits';
import { selectSettings } from './settings/settingsSlice';

/** Puts in force what changed beside the cards, or what stood before it. */
export function applySide(side: SideChange, isBack: boolean): AppThunk {
  return (dispatch, getState) => {
    switch (side.kind) {
      case 'settings':
        dispatch(changeSettings(editedSettings(selectSettings(getState()), side.edits, isBack)));
        return;
      case 'news':
        dispatch(keepNews([isBack ? side.before : side.after]));
    }
  };
}
