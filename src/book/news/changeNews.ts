import { shownAs } from '@/core/card';
import { acceptNews, type News, NEWS_WORDS, type Signature } from '@/core/news';

import type { AppThunk } from '../appStore';
import { selectCardsByUid } from '../cards/cardsSlice';
import { changeBook } from '../changeBook';
import { selectSettings } from '../settings/settingsSlice';
import { keepNews } from './keepNews';
import { selectNewsById } from './newsSlice';
import { readNewsOfPeople } from './readNews';

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
