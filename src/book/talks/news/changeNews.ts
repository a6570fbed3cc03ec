import { changeBook, changeSides, newStep } from '@/book/commit';
import { edited } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import { shownAs } from '@/core/card';
import { acceptNews, type News, NEWS_WORDS, type Signature } from '@/core/talks';
import { texts } from '@/texts/talks/news';

import { addNews } from './readNews';

/** Compares signatures with the cards of those who wrote them, in the worker; what is known already stays as it is. */
export function lookForNews(signatures: readonly Signature[]): AppThunk<Promise<void>> {
  return async (dispatch, getState, { inspector }) => {
    const cards = selectCardsByUid(getState());
    const signed = signatures.flatMap((signature) => {
      const card = cards.get(signature.uid);
      return card ? [{ signature, card }] : [];
    });
    if (signed.length === 0) return;
    // Nobody waits for it; the next import finds what this one didn't.
    const found = await inspector.newsIn(signed, selectSettings(getState()).country).catch(() => []);
    await dispatch(addNews(found));
  };
}

/** Accepts a piece of news, as an undoable step. */
export function acceptOneNews(news: News): AppThunk {
  return (dispatch, getState) => {
    const card = selectCardsByUid(getState()).get(news.uid);
    if (!card) return;
    const label = texts.new(shownAs(card), NEWS_WORDS[news.collection], news.shown);
    void dispatch(
      changeBook({ cause: 'edit', label, edits: [edited(card.uid, (now) => acceptNews(now, news))] }),
    );
  };
}

/** Dismisses a piece of news, as an undoable step. */
export function dismissNews(news: News, of: string): AppThunk {
  return (dispatch, _, services) => {
    const sides = [{ kind: 'news' as const, before: { news }, after: { news, isDismissed: true } }];
    const label = texts.dismissedFor(news.shown, of);
    const at = services.utcNow();
    dispatch(changeSides(newStep(services, { cause: 'edit', label, sides, at })));
  };
}
