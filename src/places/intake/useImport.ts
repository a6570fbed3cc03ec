import { useCallback, useRef, useState } from 'react';

import { importCards, type Job, previewImport, readFileInWorker, useAppDispatch, useWhenRead } from '@/book';
import type { Card } from '@/core/card';
import type { Problem } from '@/core/formats';
import type { Intake } from '@/core/intake';

/** A fault with the file it is in. */
export interface FileProblem extends Problem {
  readonly file: string;
}

/** What the files would do to the book. */
export interface ImportPreview {
  readonly kind: 'preview';
  readonly source: string;
  readonly intake: Intake;
  readonly problems: readonly FileProblem[];
}

/** What was done. */
export interface ImportSummary {
  readonly kind: 'done';
  readonly source: string;
  readonly taken: number;
  readonly same: number;
  readonly left: number;
  readonly problems: readonly FileProblem[];
  readonly changeId: string | undefined;
}

/** How far an import is. */
export type ImportState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'reading'; readonly name: string; readonly share01: number; readonly cards: number }
  | ImportPreview
  | ImportSummary
  | { readonly kind: 'failed'; readonly message: string };

/** The steps of an import, and how far it is. */
export function useImport() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const [state, setState] = useState<ImportState>({ kind: 'idle' });
  const job = useRef<Job<unknown> | undefined>(undefined);
  const isStopped = useRef(false);

  const read = useCallback(
    async (files: readonly File[]) => {
      isStopped.current = false;
      const source = files.length === 1 ? (files[0]?.name ?? 'a file') : `${files.length} files`;
      const cards: Card[] = [];
      const problems: FileProblem[] = [];
      try {
        for (const file of files) {
          setState({ kind: 'reading', name: file.name, share01: 0, cards: cards.length });
          const before = cards.length;
          const bytes = new Uint8Array(await file.arrayBuffer());
          const reading = readFileInWorker(bytes, (share01, count) =>
            setState((now) => (now.kind === 'reading' ? { ...now, share01, cards: before + count } : now)),
          );
          job.current = reading;
          const result = await reading.result;
          cards.push(...result.cards);
          problems.push(...result.problems.map((problem) => ({ ...problem, file: file.name })));
        }
        await whenRead();
        if (isStopped.current) return;
        setState({ kind: 'preview', source, intake: dispatch(previewImport(cards)), problems });
      } catch (error) {
        if (isStopped.current) return;
        const reason = error instanceof Error ? error.message : String(error);
        setState({ kind: 'failed', message: `${source} could not be read: ${reason}. Nothing was changed.` });
      }
    },
    [dispatch, whenRead],
  );

  const stop = () => {
    isStopped.current = true;
    job.current?.stop();
    setState({ kind: 'idle' });
  };

  const take = async (cards: readonly Card[]) => {
    if (state.kind !== 'preview') return;
    const { source, intake, problems } = state;
    try {
      const change = await dispatch(importCards(cards, source));
      const left = intake.fresh.length + intake.different.length - cards.length;
      setState({
        kind: 'done',
        source,
        taken: cards.length,
        same: intake.same.length,
        left,
        problems,
        changeId: change?.id,
      });
    } catch (error) {
      setState({
        kind: 'failed',
        message: `The cards could not be put into the book: ${error instanceof Error ? error.message : String(error)}`,
      });
    }
  };

  return { state, read, stop, take, reset: () => setState({ kind: 'idle' }) };
}
