import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { pruneHistory, readHistory } from '@/book/commit';
import { type HistorySize, sizeOfHistory } from '@/book/history';
import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, selectSteps, useAppDispatch, useAppSelector } from '@/book/state';
import { formatDay, formatMegabytes } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/settings/settings';
import { Act, Choice, Field, Txt } from '@/ui';

const YEARS = [
  ['1', texts.oneYear],
  ['2', texts.twoYears],
  ['5', texts.fiveYears],
  ['0', texts.asLongAsThereIsRoom],
] as const;

/** What was changed, how long that is kept so that it can be undone, and how much room it takes. */
export function ChangesPart() {
  const dispatch = useAppDispatch();
  const { historyYears, historyMegabytes } = useAppSelector(selectSettings);
  const last = useAppSelector(selectSteps).at(-1)?.id;
  const [size, setSize] = useState<HistorySize>();
  useEffect(() => {
    let isCurrent = true;
    void dispatch(readHistory()).then((steps) => {
      if (isCurrent) setSize(sizeOfHistory(steps));
    });
    return () => {
      isCurrent = false;
    };
  }, [dispatch, last]);
  const set = (some: { readonly historyYears: number } | { readonly historyMegabytes: number }) =>
    dispatch(changeSettingsUndoably(texts.howLongChangesAreKept, some));
  return (
    <View className="gap-1">
      {size ? (
        <Txt isFigures testID="history-size">
          {size.steps === 0
            ? texts.nothingHasBeenChanged
            : texts.changesSince(size.steps, formatDay(size.oldest), formatMegabytes(size.size))}
        </Txt>
      ) : null}
      <View className="flex-row flex-wrap gap-x-5">
        <Act label={texts.showChanges} onPress={() => go('/changes')} testID="show-changes" />
        <Act
          label={texts.removeOldOnes}
          tone="faded"
          onPress={() => void dispatch(pruneHistory()).then(({ left }) => setSize(sizeOfHistory(left)))}
        />
      </View>
      <Txt size="small" tone="faded">
        {texts.keepChangesFor}
      </Txt>
      <Choice
        name={texts.keepChangesFor}
        options={YEARS}
        value={String(historyYears) as '1'}
        onChange={(years) => set({ historyYears: Number(years) })}
      />
      <Field
        label={texts.megabytesAtMost}
        value={String(historyMegabytes)}
        onChange={(text) =>
          set({ historyMegabytes: Math.min(100_000, Math.max(1, Number(text.replace(/\D/g, '')) || 1)) })
        }
        kind="tel"
        hint={texts.oldestGoFirst}
        testID="history-megabytes"
      />
    </View>
  );
}
