import { changeBook } from '@/book/commit';
import { edited, editsTo, type Step } from '@/book/history';
import { type AppThunk, selectCardsByUid } from '@/book/state';
import { type Card, shownAs, type Uid } from '@/core/card';
import { bundleCards, takeOut } from '@/core/tidy';
import { texts } from '@/texts/tidy/tidy';

/** Bundles cards, the first as the lead, as an undoable step. */
export function bundleInBook(uids: readonly Uid[]): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, getState) => {
    const known = selectCardsByUid(getState());
    const [lead, ...others] = uids.flatMap((uid) => known.get(uid) ?? []);
    if (!lead) return undefined;
    const label = texts.bundledCardsAs(others.length + 1, shownAs(lead));
    const edits = editsTo(bundleCards([lead, ...others]), (uid) => known.get(uid));
    return dispatch(changeBook({ cause: 'edit', label, edits }));
  };
}

/** Removes a card from its bundle. */
export function takeOutOfBundle(lead: Card, out: Card): AppThunk<Promise<Step | undefined>> {
  const label = texts.removedFromBundle(shownAs(out));
  return changeBook({ cause: 'edit', label, edits: [edited(lead.uid, (now) => takeOut(now, out.uid))] });
}
