import type { SearchClient } from '@/book/clients';
import { type AppThunk, choiceMade, exportAsked, noticeShown, selectCardsByUid } from '@/book/state';
import { writeTo } from '@/book/write';
import { shownAs, type Uid } from '@/core/card';
import type { Offer, Whom } from '@/core/find';
import { isFormatId } from '@/core/formats';
import { localDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/find/quickline';

/** Everybody that something is done with, each once. */
async function everybody(whom: Whom, search: SearchClient): Promise<Uid[]> {
  const uids = await Promise.all(
    whom.map(({ kind, uid }) => (kind === 'list' ? search.onList(uid, localDay()) : [uid])),
  );
  return [...new Set(uids.flat())];
}

/** Opens a message to somebody, with cards that go along. */
export function openMessage({
  path,
  to = [],
  subject,
  attached = [],
}: Extract<Offer, { kind: 'go' }>): AppThunk<Promise<void>> {
  return async (dispatch, _, { search }) => {
    await dispatch(writeTo(to, { subject, attached: await everybody(attached, search) }));
    go(path);
  };
}

/** Saves somebody's card as a file; several are shown first, each of them selected. */
export function exportWhom({ whose, format }: Extract<Offer, { kind: 'file' }>): AppThunk<Promise<void>> {
  return async (dispatch, getState, { search }) => {
    const uids = await everybody(whose, search);
    const card = selectCardsByUid(getState()).get(uids[0] ?? '');
    if (!card || !isFormatId(format)) dispatch(noticeShown({ text: texts.nobodyIsOnIt, tone: 'error' }));
    else if (uids.length === 1) {
      const { saveCardsAs } = await import('@/book/formats');
      await dispatch(saveCardsAs([card], format, { name: shownAs(card) }));
    } else {
      dispatch(choiceMade(uids));
      dispatch(exportAsked(format));
      go('/book');
    }
  };
}
