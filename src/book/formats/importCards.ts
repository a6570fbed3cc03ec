import { type BatchOptions, changeInBatches, isOnlyStamped } from '@/book/commit';
import type { CardEdit, Change } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import { attachPhotos, detachPhotos } from '@/book/store';
import { inBatches } from '@/core/base';
import { type Card, isPrivate } from '@/core/card';
import { compareImport, type ImportComparison, latestByUid } from '@/core/formats';
import { withoutWrittenMembers } from '@/core/lists';
import { texts } from '@/texts/formats/formats';

import { importOnto } from './importOnto';

/** Cards compared per batch, before yielding to the page. */
const PIECE = 100;

/**
 * What cards read from a file would do to the book. Photos are detached on both sides before they are compared. A card
 * that says nothing beyond the book's is the same.
 */
export function previewImport(cards: readonly Card[]): AppThunk<Promise<ImportComparison>> {
  return async (_, getState, services) => {
    const intake: ImportComparison = { fresh: [], same: [], different: [] };
    const { country } = selectSettings(getState());
    for (const piece of inBatches(latestByUid(cards), PIECE)) {
      const whole = new Map(piece.map((card) => [card.uid, card]));
      const known = selectCardsByUid(getState());
      const sorted = compareImport(
        piece.map((card) => detachPhotos(withoutWrittenMembers(card)).card),
        (uid) => known.get(uid),
      );
      const put = (group: keyof ImportComparison, some: readonly Card[]) =>
        intake[group].push(...some.map((card) => whole.get(card.uid) ?? card));
      const saysMore = (card: Card) => {
        const before = known.get(card.uid);
        return !before || !isOnlyStamped({ before, after: importOnto(before, card, country) });
      };
      put('fresh', sorted.fresh);
      put('same', [...sorted.same, ...sorted.different.filter((card) => !saysMore(card))]);
      put('different', sorted.different.filter(saysMore));
      await services.yieldToPage();
    }
    return intake;
  };
}

/** How cards are imported. */
export interface ImportOptions extends BatchOptions {
  /** A card of the file takes the place of the book's; without it what it says is added to that. */
  readonly isReplacing?: boolean;
}

/** Takes cards into the book, as one step that can be undone as one. */
export function importCards(
  cards: readonly Card[],
  source: string,
  { isReplacing = false, ...options }: ImportOptions = {},
): AppThunk<Promise<Change | undefined>> {
  return (dispatch, getState) => {
    const { country } = selectSettings(getState());
    const edits = cards.map((card): CardEdit => {
      const whole = withoutWrittenMembers(card);
      return {
        uid: card.uid,
        apply: (now) => (now && !isReplacing ? withFile(now, whole, country) : replaced(now, whole)),
      };
    });
    return dispatch(
      changeInBatches({ cause: 'import', label: texts.importedCards(cards.length, source), edits }, options),
    );
  };
}

/** Photos are compared by their ids, and kept with their bytes. */
function withFile(now: Card, whole: Card, country: string): Card {
  const { card, photos } = detachPhotos(whole);
  return attachPhotos(importOnto(now, card, country), photos);
}

/** A card that is private stays so, whatever the file says of it. */
function replaced(now: Card | undefined, whole: Card): Card {
  return now && isPrivate(now) ? { ...whole, 'cordialis.example:private': true } : whole;
}
