import { exportCards } from '@/book/formats';
import { type AppThunk, noticeShown } from '@/book/state';
import { errorMessage } from '@/core/base';
import type { Card } from '@/core/card';
import { fileName, shareFile } from '@/platform';
import { texts } from '@/texts/write/write';

/** Hands cards on as one vCard file, through the share sheet or as a file that is saved. @param name - what is handed on: "Ada Lowther", "3 cards" */
export function sendCards(cards: readonly Card[], name: string): AppThunk<Promise<void>> {
  return async (dispatch) => {
    try {
      const { result } = dispatch(
        exportCards(cards, 'vcard3', { onProgress: () => undefined, extensions: false }),
      );
      const handed = await shareFile(
        fileName(name, 'vcf'),
        await (await result).text(),
        'text/vcard;charset=utf-8',
      );
      if (handed === 'saved') dispatch(noticeShown({ text: texts.savedAsFile(name), tone: 'plain' }));
    } catch (error) {
      const reason = errorMessage(error);
      dispatch(noticeShown({ text: texts.fileCouldNotBeWritten(reason), tone: 'error' }));
    }
  };
}
