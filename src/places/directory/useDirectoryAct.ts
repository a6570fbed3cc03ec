import { useCallback } from 'react';

import { noticeShown, useAppDispatch } from '@/book/state';
import { errorMessage } from '@/core/base';
import { texts } from '@/texts/directory/directory';

/** Does something with the directory; what goes wrong is said. @returns whether it was done */
export function useDirectoryAct(): (work: () => Promise<unknown>, done: string) => Promise<boolean> {
  const dispatch = useAppDispatch();
  return useCallback(
    async (work, done) => {
      try {
        await work();
        if (done !== '') dispatch(noticeShown({ text: done, tone: 'plain' }));
        return true;
      } catch (error) {
        dispatch(noticeShown({ text: texts.notDone(errorMessage(error)), tone: 'error' }));
        return false;
      }
    },
    [dispatch],
  );
}
