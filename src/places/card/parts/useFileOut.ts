import { noticeShown, useAppDispatch, useServices } from '@/book/state';
import type { CardValue } from '@/core/card';
import { saveDataUri } from '@/platform';

/** Hands out a file that belongs to a card, wherever its bytes lie. */
export function useFileOut(): (file: NonNullable<CardValue['file']>) => void {
  const { photos } = useServices();
  const dispatch = useAppDispatch();
  return ({ name, uri, blobId }) => {
    const fail = (reason: string) =>
      dispatch(noticeShown({ text: `${name} could not be opened: ${reason}`, tone: 'error' }));
    void Promise.resolve(uri ?? (blobId === undefined ? null : photos.get(blobId)))
      .then((bytes) => (bytes === null ? fail('its bytes are missing') : saveDataUri(name, bytes)))
      .catch((error: Error) => fail(error.message));
  };
}
