import { shownAs } from '@/core/card';
import { acceptNews, type News, NEWS_WORDS, newsSchema, type Signature } from '@/core/news';

import type { AppThunk } from '../appStore';
import { selectCardsByUid } from '../cards/cardsSlice';
import { changeBook } from '../changeBook';
import { selectSettings } from '../settings/settingsSlice';
import { KEYS } from '../store/keys';
import { parseJson } from '../store/parseJson';
import { keepNews } from './keepNews';
import { newsArrived, selectNewsById, type StoredNews } from './newsSlice';

/** Reads all of them, where that hasn't been done yet. */
export function readNewsOfPeople(): AppThunk<Promise<void>> {
  return async (dispatch, getState, { storage, writer }) => {
    if (selectNewsById(getState())) return;
    await writer.flush();
    const keys = (await storage.getAllKeys()).filter((key) => key.startsWith(KEYS.news));
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

/** Compares signatures with the cards of those who wrote them, in the worker; what is known already stays as it is. */
export function lookForNews(signatures: readonly Signature[]): AppThunk<Promise<void>> {
  return async (dispatch, getState, { twins }) => {
    const cards = selectCardsByUid(getState());
    const signed = signatures.flatMap((signature) => {
      const card = cards.get(signature.uid);
      return card ? [{ signature, card }] : [];
    });
    if (signed.length === 0) return;
    await dispatch(readNewsOfPeople());
    // Nobody waits for it; the next import finds what this one didn't.
    const found = await twins.newsIn(signed, selectSettings(getState()).country).catch(() => []);
    const known = selectNewsById(getState()) ?? {};
    dispatch(keepNews(found.filter(({ id }) => !known[id]).map((news) => ({ news }))));
  };
}

/** Puts a piece of news on the card, as a step that can be undone. */
export function acceptOneNews(news: News): AppThunk {
  return (dispatch, getState) => {
    const card = selectCardsByUid(getState()).get(news.uid);
    if (!card) return;
    const label = `${shownAs(card)}: new ${NEWS_WORDS[news.collection]} ${news.shown}`;
    void dispatch(changeBook({ cause: 'edit', label, upserts: [acceptNews(card, news)] }));
  };
}

/** Has a piece of news never offered again, as a step that can be undone. */
export function dismissNews(news: News, of: string): AppThunk {
  return (dispatch) => {
    const after = { news, isDismissed: true };
    const label = `Dismissed ${news.shown} for ${of}`;
    void dispatch(changeBook({ cause: 'edit', label, sides: [{ kind: 'news', before: { news }, after }] }));
  };
}
