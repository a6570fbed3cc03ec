import { useCallback, useEffect, useRef, useState } from 'react';

import { type Job, readFileInWorker } from '@/book/clients';
import {
  importCards,
  type ImportReport,
  keepImportReport,
  previewImport,
  readImportReport,
} from '@/book/formats';
import { rememberColumns } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector, useWhenRead } from '@/book/state';
import { errorMessage } from '@/core/base';
import type { Card } from '@/core/card';
import { columnsKey } from '@/core/formats';
import { texts } from '@/texts/formats/formats';

import type { FilePart, ImportState } from './importState';
import type { ImportChoice } from './Preview';
import { readFiles } from './readFiles';

/** How long the columns must be unchanged before the table is read again, in milliseconds. */
const REREAD_AFTER_MS = 250;

/** The steps of an import, and how far it is. */
export function useImport() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const remembered = useAppSelector(selectSettings).tableColumns;
  const [state, setState] = useState<ImportState>({ kind: 'idle' });
  const [last, setLast] = useState<ImportReport>();
  useEffect(() => {
    void dispatch(readImportReport()).then((report) => setLast((now) => now ?? report));
  }, [dispatch]);
  const job = useRef<Job<unknown> | undefined>(undefined);
  const isStopped = useRef(false);
  const parts = useRef<FilePart[]>([]);
  const source = useRef('');
  const reread = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);

  const fail = useCallback((error: unknown) => {
    if (isStopped.current) return;
    const reason = errorMessage(error);
    const message = texts.couldNotBeRead(source.current, reason);
    setState({ kind: 'failed', message });
  }, []);

  /** Reads a table again by other columns; what was read replaces what the part had. */
  const readByColumns = useCallback(
    (part: FilePart, columns: readonly string[]) => {
      job.current?.stop();
      const reading = readFileInWorker(part.bytes, () => undefined, columns);
      job.current = reading;
      reading.result.then(
        (contents) => {
          if (job.current !== reading) return;
          setState((now) =>
            now.kind === 'mapping' && now.part.name === part.name
              ? { ...now, part: { ...now.part, contents }, isReading: false }
              : now,
          );
        },
        (error: unknown) => (job.current === reading ? fail(error) : undefined),
      );
    },
    [fail],
  );

  /** On to the next table, or to the preview of all. */
  const proceed = useCallback(
    async (after: number) => {
      const at = parts.current.findIndex(({ contents }, i) => i > after && contents.table !== undefined);
      const part = parts.current[at];
      if (part?.contents.table) {
        const { headings, columns } = part.contents.table;
        const known = remembered[columnsKey(headings)];
        const isRemembered = known?.length === columns.length;
        const wished = isRemembered ? known : columns;
        setState({ kind: 'mapping', part, columns: wished, isRemembered, isReading: isRemembered });
        if (isRemembered) readByColumns(part, wished);
        return;
      }
      await whenRead();
      if (isStopped.current) return;
      const cards = parts.current.flatMap(({ contents }) => contents.cards);
      const problems = parts.current.flatMap(({ name, contents }) =>
        contents.problems.map((problem) => ({ ...problem, file: name })),
      );
      setState({ kind: 'reading', name: source.current, share01: 1, cards: cards.length });
      const intake = await dispatch(previewImport(cards));
      if (!isStopped.current) setState({ kind: 'preview', source: source.current, intake, problems });
    },
    [dispatch, readByColumns, remembered, whenRead],
  );

  const read = useCallback(
    async (files: readonly File[]) => {
      isStopped.current = false;
      source.current = files.length === 1 ? (files[0]?.name ?? texts.file) : texts.fileCount(files.length);
      try {
        parts.current = await readFiles(files, {
          onJob: (one) => (job.current = one),
          onProgress: (name, share01, cards) => setState({ kind: 'reading', name, share01, cards }),
        });
        if (!isStopped.current) await proceed(-1);
      } catch (error) {
        fail(error);
      }
    },
    [fail, proceed],
  );

  const setColumn = (at: number, heading: string) => {
    if (state.kind !== 'mapping') return;
    const columns = state.columns.map((column, i) => (i === at ? heading : column));
    setState({ ...state, columns, isReading: true });
    clearTimeout(reread.current);
    reread.current = setTimeout(() => readByColumns(state.part, columns), REREAD_AFTER_MS);
  };

  const confirmColumns = async () => {
    if (state.kind !== 'mapping' || state.isReading) return;
    const { part, columns } = state;
    const at = parts.current.findIndex(({ name }) => name === part.name);
    parts.current = parts.current.map((one, i) => (i === at ? part : one));
    dispatch(rememberColumns(columnsKey(part.contents.table?.headings ?? []), columns));
    await proceed(at).catch(fail);
  };

  const stop = () => {
    isStopped.current = true;
    job.current?.stop();
    setState((now) => (now.kind === 'taking' ? now : { kind: 'idle' }));
  };

  const take = async (cards: readonly Card[], choice: ImportChoice) => {
    if (state.kind !== 'preview') return;
    const { intake, problems } = state;
    isStopped.current = false;
    setState({ kind: 'taking', share01: 0, cards: 0 });
    try {
      const change = await dispatch(
        importCards(cards, source.current, {
          ...choice,
          onProgress: (share01, count) => setState({ kind: 'taking', share01, cards: count }),
          isStopped: () => isStopped.current,
        }),
      );
      if (isStopped.current) return setState({ kind: 'idle' });
      const left = intake.fresh.length + intake.different.length - cards.length;
      const same = intake.same.length;
      const changeId = change?.id;
      const taken = cards.length;
      const report: ImportReport = { source: source.current, taken, same, left, problems, changeId };
      dispatch(keepImportReport(report));
      setLast(report);
      setState({ kind: 'done', ...report });
    } catch (error) {
      const reason = errorMessage(error);
      setState({ kind: 'failed', message: texts.cardsCouldNotBePut(reason) });
    }
  };

  const showLast = () => last && setState({ kind: 'done', ...last });
  return {
    state,
    last,
    showLast,
    read,
    stop,
    take,
    setColumn,
    confirmColumns,
    reset: () => setState({ kind: 'idle' }),
  };
}
