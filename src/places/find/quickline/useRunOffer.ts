import { changeBook } from '@/book/commit';
import { editsTo } from '@/book/history';
import { noteAct } from '@/book/settings';
import { noticeShown, useAppDispatch } from '@/book/state';
import type { Offer } from '@/core/find';
import { cardPath, copyText, listPath, openOutside } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/quickline';

import { exportWhom, openMessage } from './withWhom';

/** Does what was offered; gives false where it can't be done, so that the line stays as it is. */
export function useRunOffer(): (offer: Offer) => boolean {
  const dispatch = useAppDispatch();
  return (offer) => {
    if (offer.kind !== 'none' && offer.verb !== undefined && offer.verb !== 'archive')
      dispatch(noteAct(offer.uid, offer.verb));
    switch (offer.kind) {
      case 'none':
        return false;
      case 'outside':
        openOutside(offer.uri);
        return true;
      case 'go': {
        const { to, path } = offer;
        if (to === undefined) go(path === '' ? listPath(offer.uid) : path);
        else void dispatch(openMessage(offer));
        return true;
      }
      case 'file':
        void dispatch(exportWhom(offer));
        return true;
      case 'page':
        go(cardPath(offer.uid, offer.page));
        return true;
      case 'copy':
        void copyText(offer.text).then((isCopied) =>
          dispatch(
            noticeShown({
              text: isCopied ? texts.copied(offer.detail) : shared.nothingCouldBeCopied,
              tone: isCopied ? 'plain' : 'error',
            }),
          ),
        );
        return true;
      case 'change':
      case 'new': {
        const label = offer.detail === '' ? offer.label : `${offer.label}: ${offer.detail}`;
        const cause = offer.kind === 'new' ? 'add' : 'edit';
        void dispatch(
          changeBook({
            cause,
            label,
            ...(offer.talks ? { talks: offer.talks.map((after) => ({ after })) } : {}),
            edits: editsTo(offer.upserts, (uid) => offer.from.find((one) => one.uid === uid)),
          }),
        ).then(() => {
          if (offer.kind === 'new') go(cardPath(offer.uid));
        });
        return true;
      }
    }
  };
}
