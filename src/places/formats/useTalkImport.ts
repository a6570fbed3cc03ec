import { useRef, useState } from 'react';

import { guessOwnAddressesInWorker } from '@/book/clients';
import { selectSettings, useAppDispatch, useAppSelector, useWhenRead } from '@/book/state';
import { type ImportedTalks, importTalks } from '@/book/talks';
import { errorMessage } from '@/core/base';
import { texts } from '@/texts/formats/formats';

/** How far an import of talks is. */
export type TalkImportState =
  | { readonly kind: 'idle' }
  /** The user's own addresses are asked for, as without them nobody can tell who wrote. */
  | { readonly kind: 'asking'; readonly files: readonly File[]; readonly guessed: readonly string[] }
  | { readonly kind: 'reading'; readonly share01: number; readonly messages: number; readonly added: number }
  | { readonly kind: 'done'; readonly taken: ImportedTalks }
  | { readonly kind: 'failed'; readonly message: string };

/** The steps of an import of mail and calendars. */
export function useTalkImport() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const { ownAddresses } = useAppSelector(selectSettings);
  const [state, setState] = useState<TalkImportState>({ kind: 'idle' });
  const stopper = useRef<() => void>(() => undefined);
  const isStopped = useRef(false);

  const take = async (files: readonly File[], withTexts: boolean) => {
    isStopped.current = false;
    setState({ kind: 'reading', share01: 0, messages: 0, added: 0 });
    const source = files.length === 1 ? (files[0]?.name ?? texts.file) : texts.fileCount(files.length);
    try {
      await whenRead();
      const taken = await dispatch(
        importTalks(files, {
          ...{ source, withTexts },
          onProgress: (share01, messages, added) => setState({ kind: 'reading', share01, messages, added }),
          onJob: (job) => (stopper.current = job.stop),
        }),
      );
      setState({ kind: 'done', taken });
    } catch (error) {
      const reason = errorMessage(error);
      setState(
        isStopped.current
          ? { kind: 'idle' }
          : {
              kind: 'failed',
              message: texts.couldNotBeReadWhatHad(source, reason),
            },
      );
    }
  };

  const begin = async (files: readonly File[], withTexts: boolean) => {
    if (files.length === 0) return;
    if (ownAddresses.length > 0) return take(files, withTexts);
    setState({ kind: 'reading', share01: 0, messages: 0, added: 0 });
    const guessed = await guessOwnAddressesInWorker(files).result.catch(() => []);
    setState({ kind: 'asking', files, guessed });
  };

  const stop = () => {
    isStopped.current = true;
    stopper.current();
  };
  return { state, begin, take, stop, reset: () => setState({ kind: 'idle' }) };
}
