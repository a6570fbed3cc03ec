import { changeBook } from '@/book/commit';
import type { Change } from '@/book/history';
import { type AppThunk, selectCardsByUid } from '@/book/state';
import { type Card, shownAs, type Uid } from '@/core/card';
import { dismissFault, type Fault, fixCard } from '@/core/tidy';
import { texts } from '@/texts/tidy/tidy';

/** Dismisses faults for good, as one undoable step. */
export function dismissFaults(faults: readonly Fault[]): AppThunk<Promise<Change | undefined>> {
  return (dispatch, getState) => {
    const known = selectCardsByUid(getState());
    const upserts = [...new Set(faults.map(({ uid }) => uid))].flatMap((uid) => {
      const card = known.get(uid);
      return card
        ? [
            dismissFault(
              card,
              faults.filter((fault) => fault.uid === uid),
            ),
          ]
        : [];
    });
    const [first] = upserts;
    const label =
      upserts.length === 1 && first
        ? texts.markedAsCorrect(shownAs(first))
        : texts.markedAsCorrectCards(upserts.length);
    return dispatch(changeBook({ cause: 'edit', label, upserts }));
  };
}

/** Fixes faults, as one undoable step; what has changed since stays as it is. */
export function fixFaults(faults: readonly Fault[]): AppThunk<Promise<Change | undefined>> {
  return (dispatch, getState) => {
    const known = selectCardsByUid(getState());
    const byUid = new Map<Uid, Fault[]>();
    for (const fault of faults)
      if (fault.mend) byUid.set(fault.uid, [...(byUid.get(fault.uid) ?? []), fault]);
    const upserts: Card[] = [];
    const removed: Uid[] = [];
    for (const [uid, some] of byUid) {
      const card = known.get(uid);
      if (!card) continue;
      if (some.some(({ mend }) => mend && !mend.edits)) removed.push(uid);
      else upserts.push(fixCard(card, some));
    }
    const count = upserts.length + removed.length;
    const [only] = upserts;
    const label = count === 1 && only ? texts.fixed(shownAs(only)) : texts.fixedCards(count);
    return dispatch(changeBook({ cause: 'edit', label, upserts, removed }));
  };
}
