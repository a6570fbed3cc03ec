import { noticeShown, useAppDispatch, useServices } from '@/book/state';
import type { CardValue } from '@/core/card';
import { saveDataUri } from '@/platform';
import { texts } from '@/texts/card/parts';

/** Saves a file of a card, wherever its bytes are kept. */
export function useFileOut(): (file: NonNullable<CardValue['file']>) => void {
  const { photos } = useServices();
  const dispatch = useAppDispatch();
  return ({ name, uri, blobId }) => {
    const fail = (reason: string) =>
      dispatch(noticeShown({ text: texts.couldNotBeOpened(name, reason), tone: 'error' }));
    void Promise.resolve(uri ?? (blobId === undefined ? null : photos.get(blobId)))
      .then((bytes) => (bytes === null ? fail(texts.itsBytesAreMissing) : saveDataUri(name, bytes)))
      .catch((error: Error) => fail(error.message));
  };
}
