import type { SideChange, StoredNews } from '@/book/history';
import { type AppThunk, editedSettings, newsChanged, selectSettings } from '@/book/state';
import { KEYS } from '@/book/store';

import { changeSettings } from './changeSettings';

/** Applies what changed beside the cards, or its previous value. */
export function applySide(side: SideChange, isBack: boolean): AppThunk {
  return (dispatch, getState) => {
    switch (side.kind) {
      case 'settings':
        dispatch(changeSettings(editedSettings(selectSettings(getState()), side.edits, isBack)));
        return;
      case 'news':
        dispatch(storeNews([isBack ? side.before : side.after]));
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
