import { noticeShown, useAppDispatch } from '@/book/state';
import { copyText } from '@/platform';
import { texts } from '@/texts/card/parts';

/** Copies a text and says whether that worked. */
export function useCopy(): (text: string) => Promise<void> {
  const dispatch = useAppDispatch();
  return async (text) => {
    const isCopied = await copyText(text);
    const shown = text.replaceAll('\n', ', ');
    if (isCopied)
      dispatch(
        noticeShown({
          text: texts.copied(shown.length > 60 ? `${shown.slice(0, 60)}…` : shown),
          tone: 'plain',
        }),
      );
    else
      dispatch(
        noticeShown({
          text: texts.browserDoesNotAllow,
          tone: 'error',
        }),
      );
  };
}
