import type { AppThunk } from '@/book/state';
import { KEYS } from '@/book/store';
import { importTalks } from '@/book/talks';
import { texts } from '@/texts/sync/sync';

/**
 * Imports messages sent and received by the hub's mailbox as talks, once: a message is known by its Message-ID.
 * Messages from before the pairing are left out.
 *
 * @param last - the last message of the mailbox; 0 for none
 */
export function takeNewMail(token: string, last: number): AppThunk<Promise<void>> {
  return async (dispatch, _, { hub, storage }) => {
    const stored = await storage.getItem(KEYS.mailTaken);
    // A number beyond the last is of another hub's mailbox.
    const taken = stored === null || Number(stored) > last ? undefined : Number(stored);
    if (taken === last) return;
    const news = taken === undefined ? { mbox: '', last } : await hub.newMail(token, taken);
    if (news.mbox !== '') {
      const file = new File([news.mbox], 'mailbox.mbox', { type: 'application/mbox' });
      const silent = { onProgress: () => undefined, onJob: () => undefined };
      await dispatch(importTalks([file], { source: texts.mailbox, withTexts: true, ...silent }));
    }
    await storage.setMany({ [KEYS.mailTaken]: String(news.last) });
  };
}
