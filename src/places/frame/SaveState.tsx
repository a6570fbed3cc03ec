import { View } from 'react-native';

import { selectReading, selectSaving, useAppSelector, useServices } from '@/book/state';
import { formatCount } from '@/platform';
import { Act, Txt } from '@/ui';

/** Whether what was done is in the store, in a word; it is never said before it is true. */
export function SaveState() {
  const saving = useAppSelector(selectSaving);
  const reading = useAppSelector(selectReading);
  const { writer } = useServices();
  if (saving.kind === 'failed') {
    return (
      <View role="alert">
        <Txt size="small" tone="brick">
          {`Not saved: ${saving.message}`}
        </Txt>
        <Act label="Try again" tone="brick" onPress={() => void writer.flush()} />
      </View>
    );
  }
  if (reading) {
    return (
      <Txt size="small" tone="faded" isFigures>
        {reading.total === 0
          ? 'Opening the book'
          : `Reading ${reading.done} of ${formatCount(reading.total, 'card', 'cards')}`}
      </Txt>
    );
  }
  return (
    <Txt size="small" tone={saving.kind === 'saved' ? 'moss' : 'faded'} testID="save-state">
      {saving.kind === 'saved' ? 'Saved' : 'Saving'}
    </Txt>
  );
}
