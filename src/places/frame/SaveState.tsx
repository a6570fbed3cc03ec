import { View } from 'react-native';

import { selectReading, selectSaving, useAppSelector, useServices } from '@/book/state';
import { texts } from '@/texts/frame/frame';
import { Act, Txt } from '@/ui';

/** Whether everything is saved, in a word; never shown before it is true. */
export function SaveState() {
  const saving = useAppSelector(selectSaving);
  const reading = useAppSelector(selectReading);
  const { writer } = useServices();
  if (saving.kind === 'failed') {
    return (
      <View role="alert">
        <Txt size="small" tone="brick">
          {texts.notSaved(saving.message)}
        </Txt>
        <Act label={texts.tryAgain} tone="brick" onPress={() => void writer.flush()} />
      </View>
    );
  }
  if (reading) {
    return (
      <Txt size="small" tone="faded" isFigures>
        {reading.total === 0 ? texts.openingBook : texts.readingOfCards(reading.done, reading.total)}
      </Txt>
    );
  }
  return (
    <Txt size="small" tone={saving.kind === 'saved' ? 'moss' : 'faded'} testID="save-state">
      {saving.kind === 'saved' ? texts.saved : texts.saving}
    </Txt>
  );
}
