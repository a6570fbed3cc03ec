import type { Card } from '@/core/card';
import { compareIntake, type Intake } from '@/core/intake';

import type { AppThunk } from '../appStore';
import { selectCardsByUid } from '../cards/cardsSlice';
import { changeBook } from '../changeBook';
import type { Change } from '../history/change';
import { detachPhotos } from '../photos/detachPhotos';

/** What cards read from a file would do to the book. Photos are detached on both sides before they are compared. */
export function previewImport(cards: readonly Card[]): AppThunk<Intake> {
  return (_, getState) => {
    const known = selectCardsByUid(getState());
    const photosOf = new Map(cards.map((card) => [card.uid, card]));
    const { fresh, same, different } = compareIntake(
      cards.map((card) => detachPhotos(card).card),
      (uid) => known[uid],
    );
    const whole = (list: readonly Card[]) => list.map((card) => photosOf.get(card.uid) ?? card);
    return { fresh: whole(fresh), same: whole(same), different: whole(different) };
  };
}

/** Takes cards into the book, as one step that can be undone as one. */
export function importCards(cards: readonly Card[], source: string): AppThunk<Promise<Change | undefined>> {
  const count = cards.length === 1 ? '1 card' : `${cards.length} cards`;
  return changeBook({ cause: 'import', label: `Imported ${count} from ${source}`, upserts: cards });
}
