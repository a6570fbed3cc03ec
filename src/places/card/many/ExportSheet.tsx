import { useState } from 'react';
import { View } from 'react-native';

import type { Job } from '@/book/clients';
import { exportCards } from '@/book/formats';
import { noticeShown, useAppDispatch } from '@/book/state';
import { errorMessage } from '@/core/base';
import { FORMAT_FACTS, type FormatId } from '@/core/formats';
import { fileName, localDay, saveFile } from '@/platform';
import { texts } from '@/texts/card/many';
import { Choice, NextAct, ProgressLine, Sheet, Txt } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';

/** Exports the selected cards as one complete file, in any format. */
export function ExportSheet({ cards, onSheet }: ManySheetProps) {
  const dispatch = useAppDispatch();
  const [formatId, setFormatId] = useState<FormatId>('vcard4');
  const [job, setJob] = useState<Job<Blob>>();
  const [share01, setShare] = useState(0);
  const format = FORMAT_FACTS[formatId];
  const count = nameCards(cards);
  const run = async () => {
    try {
      const writing = dispatch(exportCards(cards, formatId, { onProgress: setShare }));
      setJob(writing);
      saveFile(fileName(`${count} ${localDay()}`, format.extension), await writing.result, format.mediaType);
      dispatch(noticeShown({ text: texts.exportedAs(count, format.label), tone: 'plain' }));
      onSheet(undefined);
    } catch (error) {
      const reason = errorMessage(error);
      if (reason !== 'stopped')
        dispatch(noticeShown({ text: texts.cardsCouldNotBeExported(reason), tone: 'error' }));
    } finally {
      setJob(undefined);
    }
  };
  return (
    <Sheet title={texts.exportNamed(count)} isOpen onClose={() => onSheet(undefined)}>
      <Choice
        name={texts.formatOfFile}
        options={Object.values(FORMAT_FACTS).map(({ id, label }) => [id, label] as const)}
        value={formatId}
        onChange={setFormatId}
      />
      <View className="gap-3 pt-3">
        <Txt size="small" tone="faded">
          {format.keeps}
        </Txt>
        {job ? (
          <ProgressLine text={texts.writing(count)} share01={share01} onStop={() => job.stop()} />
        ) : (
          <NextAct label={texts.export} onPress={() => void run()} testID="run-export" />
        )}
      </View>
    </Sheet>
  );
}
