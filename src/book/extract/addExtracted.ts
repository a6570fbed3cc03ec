import { changeBook } from '@/book/commit';
import { added, changed, type Step } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import { type Card, shownAs, type Uid } from '@/core/card';
import { texts } from '@/texts/extract/extract';

import { storeTextToRead } from './textToRead';

/** Puts a card that was read out of a text into the book. */
export function addExtracted(card: Card): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, _, services) => {
    storeTextToRead(services, '');
    return dispatch(changeBook({ cause: 'add', label: texts.added(shownAs(card)), edits: [added(card)] }));
  };
}

/** Adds what was read out of a text to a card of the book; what the card has already stays as it is. */
export function addExtractedTo(card: Card, uid: Uid): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, getState, services) => {
    const known = selectCardsByUid(getState()).get(uid);
    if (!known) return undefined;
    const { country } = selectSettings(getState());
    const united = await services.inspector.unite(known, card, country);
    // The card that was read was never in the book, so that nothing can have led to it.
    const { 'cordialis.example:was': _, ...rest } = united;
    const was = known['cordialis.example:was'];
    const after = was ? { ...rest, 'cordialis.example:was': was } : rest;
    storeTextToRead(services, '');
    return dispatch(
      changeBook({ cause: 'edit', label: texts.addedTo(shownAs(known)), edits: [changed(known, after)] }),
    );
  };
}
