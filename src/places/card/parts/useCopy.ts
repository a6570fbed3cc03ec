import { noticeShown, useAppDispatch } from '@/book/state';
import { copyText } from '@/platform';

/** Copies a text and says whether that worked. */
export function useCopy(): (text: string) => Promise<void> {
  const dispatch = useAppDispatch();
  return async (text) => {
    const isCopied = await copyText(text);
    const shown = text.replaceAll('\n', ', ');
    if (isCopied)
      dispatch(
        noticeShown({
          text: `Copied ${shown.length > 60 ? `${shown.slice(0, 60)}…` : shown}`,
          tone: 'plain',
        }),
      );
    else
      dispatch(
        noticeShown({
          text: 'The browser does not allow this page to copy. Select the text and copy it yourself.',
          tone: 'error',
        }),
      );
  };
}
