import { type BatchOptions, changeInBatches } from '@/book/commit';
import type { Change } from '@/book/history';
import { type AppThunk, selectCardsByUid } from '@/book/state';
import { detachPhotos } from '@/book/store';
import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';
import { compareImport, type ImportComparison, latestByUid } from '@/core/formats';
import { withoutWrittenMembers } from '@/core/lists';
import { texts } from '@/texts/formats/formats';

/** Cards compared per batch, before yielding to the page. */
const PIECE = 300;

/** What cards read from a file would do to the book. Photos are detached on both sides before they are compared. */
export function previewImport(cards: readonly Card[]): AppThunk<Promise<ImportComparison>> {
  return async (_, getState, services) => {
    const intake: ImportComparison = { fresh: [], same: [], different: [] };
    for (const piece of inBatches(latestByUid(cards), PIECE)) {
      const whole = new Map(piece.map((card) => [card.uid, card]));
      const known = selectCardsByUid(getState());
      const sorted = compareImport(
        piece.map((card) => detachPhotos(withoutWrittenMembers(card)).card),
        (uid) => known.get(uid),
      );
      for (const group of ['fresh', 'same', 'different'] as const)
        intake[group].push(...sorted[group].map((card) => whole.get(card.uid) ?? card));
      await services.yieldToPage();
    }
    return intake;
  };
}

/** Takes cards into the book, as one step that can be undone as one. */
export function importCards(
  cards: readonly Card[],
  source: string,
  options: BatchOptions = {},
): AppThunk<Promise<Change | undefined>> {
  return changeInBatches(
    {
      cause: 'import',
      label: texts.importedCards(cards.length, source),
      edits: cards.map((card) => ({ uid: card.uid, apply: () => withoutWrittenMembers(card) })),
    },
    options,
  );
}
