import type { AppThunk } from '../appStore';
import { KEYS } from '../store/keys';
import { newsChanged } from './newsSlice';
import type { StoredNews } from '@/book/history/change';

/** Puts pieces of news as they are now in force and has them written. */
export function keepNews(all: readonly StoredNews[]): AppThunk {
  return (dispatch, _, { writer }) => {
    for (const one of all) writer.put(`${KEYS.news}${one.news.id}`, JSON.stringify(one));
    if (all.length > 0) dispatch(newsChanged(all));
  };
}
