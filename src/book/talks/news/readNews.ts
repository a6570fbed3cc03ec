import { storeNews } from '@/book/commit';
import type { StoredNews } from '@/book/history';
import { type AppThunk, newsArrived, selectNewsById } from '@/book/state';
import { KEYS, keysUnder, parseJson } from '@/book/store';
import { type News, newsSchema } from '@/core/talks';

/** Reads all of them, where that hasn't been done yet. */
export function readNewsOfPeople(): AppThunk<Promise<void>> {
  return async (dispatch, getState, { storage, writer }) => {
    if (selectNewsById(getState())) return;
    await writer.flush();
    const keys = keysUnder(await storage.getAllKeys(), KEYS.news);
    const stored = await storage.getMany(keys);
    const all = Object.values(stored).flatMap((text) => parseStored(text) ?? []);
    dispatch(newsArrived(Object.fromEntries(all.map((one) => [one.news.id, one]))));
  };
}

function parseStored(text: string | null): StoredNews | undefined {
  const value = parseJson(text);
  if (typeof value !== 'object' || value === null || !('news' in value)) return undefined;
  const news = newsSchema.safeParse(value.news).data;
  return (
    news && { news, ...('isDismissed' in value && value.isDismissed === true ? { isDismissed: true } : {}) }
  );
}

/** Keeps news that has been found; what is known already, dismissed or not, stays as it is. */
export function addNews(found: readonly News[]): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    await dispatch(readNewsOfPeople());
    const known = selectNewsById(getState()) ?? {};
    dispatch(storeNews(found.filter(({ id }) => !known[id]).map((news) => ({ news }))));
  };
}
