import { useState } from 'react';
import { View } from 'react-native';

import { exportBook, type Job, noticed, useAppDispatch, useWhenRead } from '@/book';
import { FORMATS, getFormat } from '@/core/formats';
import { fileName, formatCount, localDay, saveFile } from '@/platform';
import { Act, Choice, ProgressLine, Txt } from '@/ui';

interface Running {
  readonly share01: number;
  readonly cards: number;
}

/** The whole book as one file, in any format there is. */
export function ExportPart() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const [formatId, setFormatId] = useState(FORMATS[0]?.id ?? '');
  const [running, setRunning] = useState<Running>();
  const [job, setJob] = useState<Job<string>>();
  const run = async () => {
    const format = getFormat(formatId);
    if (!format) return;
    setRunning({ share01: 0, cards: 0 });
    try {
      await whenRead();
      const writing = await dispatch(
        exportBook(format.id, { onProgress: (share01, cards) => setRunning({ share01, cards }) }),
      );
      setJob(writing);
      const text = await writing.result;
      saveFile(fileName(`Cordialis ${localDay()}`, format.extension), text, format.mediaType);
      dispatch(noticed({ text: `Exported the book as ${format.label}`, tone: 'plain' }));
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error);
      if (reason !== 'stopped')
        dispatch(noticed({ text: `The book could not be exported: ${reason}`, tone: 'error' }));
    } finally {
      setRunning(undefined);
      setJob(undefined);
    }
  };
  return (
    <View>
      <Choice
        name="Format of the export"
        options={FORMATS.map(({ id, label }) => [id, label] as const)}
        value={formatId}
        onChange={setFormatId}
      />
      {running === undefined ? (
        <View className="flex-row">
          <Act label="Export the whole book" onPress={() => void run()} testID="export-book" />
        </View>
      ) : (
        <ProgressLine
          text={`Writing: ${formatCount(running.cards, 'card', 'cards')}`}
          share01={running.share01}
          {...(job ? { onStop: () => job.stop() } : {})}
        />
      )}
      <Txt size="small" tone="faded">
        Everything goes out, photos included. vCard 4.0 and JSContact keep all of it; vCard 3.0 is for older
        programs.
      </Txt>
    </View>
  );
}
