import { findHeadingsInWorker, type Job, writeFileInWorker } from '@/book/clients';
import { type AppThunk, selectCardsInOrder, selectSettings } from '@/book/state';
import { withPhotos } from '@/book/store';
import type { Progress } from '@/book/workers';
import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';
import { isRuleList, toPickedList } from '@/core/lists';
import { localDay } from '@/platform';

interface ExportOptions {
  readonly onProgress: Progress;
  /** Of a table: its columns by their headings. */
  readonly columns?: readonly string[];
  /** Whether what only this product understands goes along. Default true. */
  readonly extensions?: boolean;
}

/** Cards whose photos are read at once. */
const PIECE = 100;

/** Starts writing some cards, photos included, as one file. @param formatId - of a format of the registry */
export function exportCards(
  cards: readonly Card[],
  formatId: string,
  { onProgress, ...options }: ExportOptions,
): AppThunk<Job<Blob>> {
  return (_, getState, services) => {
    const { leapDay } = selectSettings(getState());
    async function* pieces(): AsyncIterable<readonly Card[]> {
      for (const piece of inBatches(cards, PIECE)) {
        const filled = await Promise.all(
          piece.map(async (card) =>
            isRuleList(card) ? toPickedList(card, await services.search.onList(card.uid, localDay())) : card,
          ),
        );
        yield await withPhotos(filled, services.photos);
      }
    }
    return writeFileInWorker(pieces(), formatId, onProgress, { ...options, leapDay });
  };
}

/** Starts writing the whole book. */
export function exportBook(formatId: string, options: ExportOptions): AppThunk<Job<Blob>> {
  return (dispatch, getState) => dispatch(exportCards(selectCardsInOrder(getState()), formatId, options));
}

/** Starts finding the columns that a table of the whole book needs. */
export function findBookHeadings(): AppThunk<Job<string[]>> {
  return (_, getState) => findHeadingsInWorker(inBatches(selectCardsInOrder(getState()), PIECE));
}
