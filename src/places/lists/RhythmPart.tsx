import { useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { formatRhythm, type Rhythm, RHYTHM_UNITS, withRhythm } from '@/core/talks';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/lists/lists';
import { Act, Choice, Field, Switch, Txt } from '@/ui';

/** How often to be in touch with everybody on a list; whoever has a rhythm of their own keeps it. */
export function RhythmPart({ list }: { readonly list: Card }) {
  const dispatch = useAppDispatch();
  const rhythm = list['cordialis.example:rhythm'];
  const [every, setEvery] = useState(String(rhythm?.every ?? 1));
  const count = Number(every.replace(/\D/g, ''));
  const set = (next: Rhythm | undefined) =>
    void dispatch(
      changeMany({
        cards: [list],
        label: next ? texts.setRhythm(shownAs(list), formatRhythm(next)) : texts.removedRhythm(shownAs(list)),
        change: (one) => withRhythm(one, next),
      }),
    );
  return (
    <View testID="list-rhythm">
      <Txt size="small" font="sansBold" tone="faded" heading={3}>
        {rhythm
          ? (rhythm.paused === true ? texts.inTouchStopped : texts.inTouch)(formatRhythm(rhythm))
          : texts.noRhythm}
      </Txt>
      <Field label={texts.inTouchEvery} value={every} onChange={setEvery} kind="tel" testID="list-every" />
      <Choice
        name={texts.unit}
        options={RHYTHM_UNITS}
        value={rhythm?.unit}
        onChange={(unit) => {
          if (count > 0) set({ every: count, unit });
        }}
      />
      {rhythm ? (
        <>
          <Switch
            label={shared.stoppedForNow}
            isOn={rhythm.paused === true}
            onChange={(isOn) =>
              set({ every: rhythm.every, unit: rhythm.unit, ...(isOn ? { paused: true } : {}) })
            }
          />
          <View className="flex-row">
            <Act label={texts.noRhythm} tone="faded" onPress={() => set(undefined)} />
          </View>
        </>
      ) : null}
    </View>
  );
}
