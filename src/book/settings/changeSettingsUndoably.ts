import { changeSides, newStep } from '@/book/commit';
import {
  type AppThunk,
  diffSettings,
  editedSettings,
  selectSettings,
  selectUndoable,
  type Settings,
} from '@/book/state';

/** Milliseconds within which repeated changes of a setting, digit by digit say, are one step. */
const ONE_STEP_MS = 5000;

/**
 * Changes settings, as an undoable step.
 *
 * @param label - for the history: "Forgot the view Patrons"; the same one again soon after is the same step
 * @param isQuiet - nothing is said of it, as what was set stands before the user's eyes
 */
export function changeSettingsUndoably(label: string, some: Partial<Settings>, isQuiet = true): AppThunk {
  return (dispatch, getState, services) => {
    const known = selectSettings(getState());
    const last = selectUndoable(getState());
    const side = last?.sides?.[0];
    const isSoon =
      last?.label === label &&
      side?.kind === 'settings' &&
      services.nowMs() - Date.parse(last.at) < ONE_STEP_MS;
    const after = { ...known, ...some };
    if (diffSettings(known, after).length === 0) return;
    const whole = isSoon ? diffSettings({ ...known, ...editedSettings(known, side.edits, true) }, after) : [];
    // Set back to its old value, it is a step of its own: a step that changes nothing would apply nothing.
    const goesOn = whole.length > 0;
    const step = goesOn && last ? last : newStep(services, { cause: 'edit', label, at: services.utcNow() });
    const edits = goesOn ? whole : diffSettings(known, after);
    const sides = [{ kind: 'settings' as const, edits }];
    dispatch(changeSides({ ...step, sides }, isQuiet));
  };
}
