import { exportCards, noticed, useAppDispatch } from '@/book';
import { type Card, shownAs } from '@/core/card';
import { fileName, saveFile } from '@/platform';

/** Hands a card to the user as a vCard file that any program reads. */
export function useSendCard(card: Card): () => void {
  const dispatch = useAppDispatch();
  return () => {
    void dispatch(exportCards([card], 'vcard4', { onProgress: () => undefined }))
      .then(({ result }) => result)
      .then((text) => saveFile(fileName(shownAs(card), 'vcf'), text, 'text/vcard;charset=utf-8'))
      .catch((error: Error) =>
        dispatch(noticed({ text: `The file could not be written: ${error.message}`, tone: 'error' })),
      );
  };
}
