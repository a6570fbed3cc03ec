import { type BatchOptions, changeInBatches, isOnlyStamped } from '@/book/commit';
import { type CardEdit, changed, type Step } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import { attachPhotos, detachPhotos } from '@/book/store';
import { inBatches } from '@/core/base';
import { type Card, isPrivate, type Uid } from '@/core/card';
import { compareImport, type ImportComparison, latestByUid } from '@/core/formats';
import { withoutWrittenMembers } from '@/core/lists';
import { texts } from '@/texts/formats/formats';

/** Cards compared per batch, before yielding to the page. */
const PIECE = 100;

/** What cards of files would do to the book. */
export interface ImportPlan extends ImportComparison {
  /** By uid, the book's cards with what the different ones would add to them. */
  readonly onto: ReadonlyMap<Uid, Card>;
}

/**
 * What cards read from a file would do to the book. Photos are detached on both sides before they are compared. A card
 * that says nothing beyond the book's is the same.
 */
export function previewImport(cards: readonly Card[]): AppThunk<Promise<ImportPlan>> {
  return async (dispatch, getState, services) => {
    const onto = new Map<Uid, Card>();
    const plan = { fresh: [], same: [], different: [], onto } as ImportPlan & ImportComparison;
    for (const piece of inBatches(latestByUid(cards), PIECE)) {
      const whole = new Map(piece.map((card) => [card.uid, card]));
      const known = selectCardsByUid(getState());
      const sorted = compareImport(
        piece.map((card) => detachPhotos(withoutWrittenMembers(card)).card),
        (uid) => known.get(uid),
      );
      const merged = await dispatch(withFiles(sorted.different));
      const put = (group: keyof ImportComparison, some: readonly Card[]) =>
        plan[group].push(...some.map((card) => whole.get(card.uid) ?? card));
      const saysMore = ({ uid }: Card) => !isOnlyStamped({ before: known.get(uid), after: merged.get(uid) });
      put('fresh', sorted.fresh);
      put('same', [...sorted.same, ...sorted.different.filter((card) => !saysMore(card))]);
      const different = sorted.different.filter(saysMore);
      put('different', different);
      for (const { uid } of different) onto.set(uid, merged.get(uid) as Card);
      await services.yieldToPage();
    }
    return plan;
  };
}

/** How cards are imported. */
export interface ImportOptions extends BatchOptions {
  /** A card of the file takes the place of the book's; without it what it says is added to that. */
  readonly isReplacing?: boolean;
  /** Of what the file says on a card of the book, the values that are taken; without it all are. */
  readonly choose?: (now: Card, merged: Card) => Card;
}

/** Takes cards into the book, as one step that can be undone as one. */
export function importCards(
  cards: readonly Card[],
  source: string,
  { isReplacing = false, choose = (_, merged) => merged, ...options }: ImportOptions = {},
): AppThunk<Promise<Step | undefined>> {
  return async (dispatch, getState) => {
    const edits: CardEdit[] = [];
    for (const piece of inBatches(cards.map(withoutWrittenMembers), PIECE)) {
      const known = selectCardsByUid(getState());
      // Photos are compared by their ids, and kept with their bytes.
      const detached = new Map(piece.map((card) => [card.uid, detachPhotos(card)]));
      const files = [...detached.values()].map(({ card }) => card);
      const merged = isReplacing ? new Map<Uid, Card>() : await dispatch(withFiles(files));
      for (const card of piece) {
        const [before, after] = [known.get(card.uid), merged.get(card.uid)];
        edits.push(
          before && after
            ? changed(before, attachPhotos(choose(before, after), detached.get(card.uid)?.photos ?? {}))
            : { uid: card.uid, apply: (now) => replaced(now, card) },
        );
      }
    }
    return dispatch(
      changeInBatches({ cause: 'import', label: texts.importedCards(cards.length, source), edits }, options),
    );
  };
}

/** The book's cards with what files say of them, by uid; cards that the book hasn't are left out. */
function withFiles(files: readonly Card[]): AppThunk<Promise<Map<Uid, Card>>> {
  return async (_, getState, { inspector }) => {
    const known = selectCardsByUid(getState());
    const pairs = files.flatMap((file) => {
      const now = known.get(file.uid);
      return now ? [{ now, file }] : [];
    });
    if (pairs.length === 0) return new Map();
    const merged = await inspector.importOnto(pairs, selectSettings(getState()).country);
    return new Map(merged.map((card) => [card.uid, card]));
  };
}

/** A card that is private stays so, whatever the file says of it. */
function replaced(now: Card | undefined, whole: Card): Card {
  return now && isPrivate(now) ? { ...whole, 'cordialis.example:private': true } : whole;
}
