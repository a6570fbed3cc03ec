import { changeSettings } from '@/book/commit';
import { type AppThunk, selectSettings } from '@/book/state';

/** The most tables whose columns are remembered. */
const MAX_REMEMBERED = 40;

/** Remembers what the columns of a table say, for the next file with the same headings. */
export function rememberColumns(key: string, columns: readonly string[]): AppThunk {
  return (dispatch, getState) => {
    const { [key]: _, ...others } = selectSettings(getState()).tableColumns;
    const kept = Object.entries(others).slice(-MAX_REMEMBERED + 1);
    dispatch(changeSettings({ tableColumns: { ...Object.fromEntries(kept), [key]: [...columns] } }));
  };
}
