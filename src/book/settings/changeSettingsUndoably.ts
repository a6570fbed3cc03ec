import { changeSides, newChange } from '@/book/commit';
import {
  type AppThunk,
  diffSettings,
  editedSettings,
  selectSettings,
  selectUndoable,
  type Settings,
} from '@/book/state';

/** Milliseconds within which a setting that is set again, digit by digit say, is one step. */
const ONE_STEP_MS = 5000;

/**
 * The user sets something, as a step that can be undone.
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
    // Set back to what it was, it is a step of its own: one that changes nothing would put nothing in force.
    const goesOn = whole.length > 0;
    const step =
      goesOn && last ? last : newChange(services, { cause: 'edit', label, cards: [], at: services.utcNow() });
    const edits = goesOn ? whole : diffSettings(known, after);
    const sides = [{ kind: 'settings' as const, edits }];
    dispatch(changeSides({ ...step, sides }, isQuiet));
  };
}
