import { useEffect } from 'react';
import { View } from 'react-native';

import { undo } from '@/book/commit';
import { noticeClosed, selectNotice, useAppDispatch, useAppSelector } from '@/book/state';
import { NoticeBar } from '@/ui';

/** How long a message stays, in milliseconds; long enough to read it and to reach Undo. */
const SHOWN_MS = 9000;

/** The message about what just happened. */
export function Notices() {
  const dispatch = useAppDispatch();
  const notice = useAppSelector(selectNotice);
  const id = notice?.id;
  const isError = notice?.tone === 'error';
  useEffect(() => {
    if (id === undefined || isError) return;
    const timer = setTimeout(() => dispatch(noticeClosed(id)), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [dispatch, id, isError]);
  const changeId = notice?.changeId;
  const bar = notice ? (
    <View className="px-3 pb-2">
      <NoticeBar
        text={notice.text}
        tone={notice.tone}
        onUndo={changeId === undefined ? undefined : () => void dispatch(undo(changeId))}
        onClose={() => dispatch(noticeClosed(notice.id))}
      />
    </View>
  ) : null;
  // A region that comes together with its text isn't read out: both are there from the start (WAI-ARIA 1.2, live regions).
  return (
    <>
      <View role="status">{isError ? null : bar}</View>
      <View role="alert">{isError ? bar : null}</View>
    </>
  );
}
