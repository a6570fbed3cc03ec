import { useState } from 'react';
import { View } from 'react-native';

import type { Job } from '@/book/clients';
import { saveCardsAs } from '@/book/formats';
import { useAppDispatch } from '@/book/state';
import { FORMAT_FACTS, type FormatId } from '@/core/formats';
import { texts } from '@/texts/card/many';
import { Choice, NextAct, ProgressLine, Sheet, Txt } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';

/** Exports the selected cards as one complete file, in any format. */
export function ExportSheet({ cards, format: begunWith = 'vcard4', onSheet }: ManySheetProps) {
  const dispatch = useAppDispatch();
  const [formatId, setFormatId] = useState<FormatId>(begunWith);
  const [job, setJob] = useState<Job<Blob>>();
  const [share01, setShare] = useState(0);
  const format = FORMAT_FACTS[formatId];
  const count = nameCards(cards);
  const run = async () => {
    const isSaved = await dispatch(
      saveCardsAs(cards, formatId, { name: count, onProgress: setShare, onJob: setJob }),
    );
    setJob(undefined);
    if (isSaved) onSheet(undefined);
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
