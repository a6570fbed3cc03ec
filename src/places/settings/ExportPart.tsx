import { useState } from 'react';
import { View } from 'react-native';

import type { Job } from '@/book/clients';
import { exportBook } from '@/book/formats';
import { noticeShown, useAppDispatch, useWhenRead } from '@/book/state';
import { errorMessage } from '@/core/base';
import { FORMAT_FACTS, type FormatId } from '@/core/formats';
import { fileName, localDay, saveFile } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Act, Choice, ProgressLine, Txt } from '@/ui';

import { ColumnsChoice } from './ColumnsChoice';

interface Running {
  readonly share01: number;
  readonly cards: number;
}

/** The whole book as one file, in any format there is. */
export function ExportPart() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const [formatId, setFormatId] = useState<FormatId>('vcard4');
  const [columns, setColumns] = useState<readonly string[]>();
  const [running, setRunning] = useState<Running>();
  const [job, setJob] = useState<Job<Blob>>();
  const format = FORMAT_FACTS[formatId];
  const run = async () => {
    setRunning({ share01: 0, cards: 0 });
    try {
      await whenRead();
      const onProgress = (share01: number, cards: number) => setRunning({ share01, cards });
      const chosen = formatId === 'csv' && columns ? { columns } : {};
      const writing = dispatch(exportBook(format.id, { onProgress, ...chosen }));
      setJob(writing);
      const file = await writing.result;
      saveFile(fileName(texts.cordialis(localDay()), format.extension), file, format.mediaType);
      dispatch(noticeShown({ text: texts.exportedBookAs(format.label), tone: 'plain' }));
    } catch (error) {
      const reason = errorMessage(error);
      if (reason !== 'stopped')
        dispatch(noticeShown({ text: texts.bookCouldNotBeExported(reason), tone: 'error' }));
    } finally {
      setRunning(undefined);
      setJob(undefined);
    }
  };
  return (
    <View>
      <Choice
        name={texts.formatOfExport}
        options={Object.values(FORMAT_FACTS).map(({ id, label }) => [id, label] as const)}
        value={formatId}
        onChange={setFormatId}
      />
      <View className="pt-2">
        <Txt size="small" tone="faded">
          {format.keeps}
        </Txt>
      </View>
      {formatId === 'csv' ? <ColumnsChoice columns={columns} onChange={setColumns} /> : null}
      {running === undefined ? (
        <View className="flex-row">
          <Act
            label={texts.exportWholeBook}
            isDisabled={formatId === 'csv' && columns?.length === 0}
            onPress={() => void run()}
            testID="export-book"
          />
        </View>
      ) : (
        <ProgressLine
          text={texts.writingCards(running.cards)}
          share01={running.share01}
          {...(job ? { onStop: () => job.stop() } : {})}
        />
      )}
    </View>
  );
}
