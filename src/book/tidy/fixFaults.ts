import { changeBook } from '@/book/commit';
import { edited, removed, type Step } from '@/book/history';
import { type AppThunk, selectCardsByUid } from '@/book/state';
import { shownAs, type Uid } from '@/core/card';
import { dismissFault, type Fault, fixCard } from '@/core/tidy';
import { texts } from '@/texts/tidy/tidy';

/** Dismisses faults for good, as one undoable step. */
export function dismissFaults(faults: readonly Fault[]): AppThunk<Promise<Step | undefined>> {
  return (dispatch, getState) => {
    const known = selectCardsByUid(getState());
    const cards = [...new Set(faults.map(({ uid }) => uid))].flatMap((uid) => known.get(uid) ?? []);
    const [first] = cards;
    const label =
      cards.length === 1 && first
        ? texts.markedAsCorrect(shownAs(first))
        : texts.markedAsCorrectCards(cards.length);
    const ofCard = (uid: Uid) => faults.filter((fault) => fault.uid === uid);
    const edits = cards.map(({ uid }) => edited(uid, (now) => dismissFault(now, ofCard(uid))));
    return dispatch(changeBook({ cause: 'edit', label, edits }));
  };
}

/** Fixes faults, as one undoable step; what has changed since stays as it is. */
export function fixFaults(faults: readonly Fault[]): AppThunk<Promise<Step | undefined>> {
  return (dispatch, getState) => {
    const known = selectCardsByUid(getState());
    const byUid = new Map<Uid, Fault[]>();
    for (const fault of faults)
      if (fault.mend) byUid.set(fault.uid, [...(byUid.get(fault.uid) ?? []), fault]);
    const cards = [...byUid.keys()].flatMap((uid) => known.get(uid) ?? []);
    const edits = cards.map((card) => {
      const some = byUid.get(card.uid) ?? [];
      return some.some(({ mend }) => mend && !mend.edits)
        ? removed(card)
        : edited(card.uid, (now) => fixCard(now, some));
    });
    const [only] = cards;
    const label = cards.length === 1 && only ? texts.fixed(shownAs(only)) : texts.fixedCards(cards.length);
    return dispatch(changeBook({ cause: 'edit', label, edits }));
  };
}
