import { changeBook } from '@/book/commit';
import type { AppThunk } from '@/book/state';
import type { Uid } from '@/core/card';
import type { Talk } from '@/core/talks';
import { localDay, localTime } from '@/platform';
import { texts } from '@/texts/write/write';

/** A message as it went to some people. */
export interface SentMail {
  readonly uids: readonly Uid[];
  readonly subject: string;
  readonly body: string;
}

/** Notes messages as talks with those who have cards: one to several is one talk. One step, which can be undone. */
export function noteSent(sent: readonly SentMail[]): AppThunk<Promise<void>> {
  return async (dispatch, _, { newUid }) => {
    const talks = sent.flatMap(({ uids, subject, body }): { after: Talk }[] =>
      uids.length === 0
        ? []
        : [
            {
              after: {
                ...{ id: newUid(), kind: 'mail', direction: 'out', day: localDay(), time: localTime() },
                ...{ with: [...uids], said: body.trim() },
                ...(subject.trim() === '' ? {} : { about: subject.trim() }),
              },
            },
          ],
    );
    const people = new Set(sent.flatMap(({ uids }) => uids)).size;
    const label = texts.notedMailToPeople(people);
    await dispatch(changeBook({ cause: 'edit', label, talks }));
  };
}
