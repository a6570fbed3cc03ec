import type { Job } from '@/book/clients';
import { type AppThunk, noticeShown } from '@/book/state';
import type { Progress } from '@/book/workers';
import { errorMessage } from '@/core/base';
import type { Card } from '@/core/card';
import { FORMAT_FACTS, type FormatId } from '@/core/formats';
import { fileName, localDay, saveFile } from '@/platform';
import { texts } from '@/texts/formats/export';

import { exportCards } from './exportBook';

interface SaveOptions {
  /** What they are called: "Ada Lowther", "18 cards". */
  readonly name: string;
  readonly onProgress?: Progress;
  /** Given what can be stopped. */
  readonly onJob?: (job: Job<Blob>) => void;
}

/** Writes cards as one file that the browser saves, and says so. @returns false where it was stopped or can't be done */
export function saveCardsAs(
  cards: readonly Card[],
  formatId: FormatId,
  { name, onProgress = () => undefined, onJob = () => undefined }: SaveOptions,
): AppThunk<Promise<boolean>> {
  return async (dispatch) => {
    const { label, extension, mediaType } = FORMAT_FACTS[formatId];
    try {
      const writing = dispatch(exportCards(cards, formatId, { onProgress }));
      onJob(writing);
      saveFile(fileName(`${name} ${localDay()}`, extension), await writing.result, mediaType);
      dispatch(noticeShown({ text: texts.exportedAs(name, label), tone: 'plain' }));
      return true;
    } catch (error) {
      const reason = errorMessage(error);
      if (reason !== 'stopped')
        dispatch(noticeShown({ text: texts.cardsCouldNotBeExported(reason), tone: 'error' }));
      return false;
    }
  };
}
