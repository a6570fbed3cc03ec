import type { Step, StoredNews } from '@/book/history';
import { type AppThunk, editedSettings, newsChanged, selectSettings } from '@/book/state';
import { KEYS } from '@/book/store';

import { changeSettings } from './changeSettings';

/** Applies what a step changes beside cards and talks, or the previous values of it where it is undone. */
export function applySides({ sides = [], state }: Step): AppThunk {
  return (dispatch, getState) => {
    const isBack = state !== 'done';
    for (const side of sides) {
      if (side.kind === 'news') dispatch(storeNews([isBack ? side.before : side.after]));
      else dispatch(changeSettings(editedSettings(selectSettings(getState()), side.edits, isBack)));
    }
  };
}

/** Shows pieces of news in their new state and has them written. */
export function storeNews(all: readonly StoredNews[]): AppThunk {
  return (dispatch, _, { writer }) => {
    for (const one of all) writer.put(`${KEYS.news}${one.news.id}`, JSON.stringify(one));
    if (all.length > 0) dispatch(newsChanged(all));
  };
}
