import { useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { formatRhythm, type Rhythm, RHYTHM_UNITS, withRhythm } from '@/core/talks';
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
        label: next ? `${shownAs(list)}: in touch ${formatRhythm(next)}` : `${shownAs(list)}: no rhythm`,
        change: (one) => withRhythm(one, next),
      }),
    );
  return (
    <View testID="list-rhythm">
      <Txt size="small" font="sansBold" tone="faded" heading={3}>
        {rhythm
          ? `In touch ${formatRhythm(rhythm)}${rhythm.paused === true ? ', stopped' : ''}`
          : 'No rhythm'}
      </Txt>
      <Field label="In touch every" value={every} onChange={setEvery} kind="tel" testID="list-every" />
      <Choice
        name="Unit"
        options={RHYTHM_UNITS}
        value={rhythm?.unit}
        onChange={(unit) => {
          if (count > 0) set({ every: count, unit });
        }}
      />
      {rhythm ? (
        <>
          <Switch
            label="Stopped for now"
            isOn={rhythm.paused === true}
            onChange={(isOn) =>
              set({ every: rhythm.every, unit: rhythm.unit, ...(isOn ? { paused: true } : {}) })
            }
          />
          <View className="flex-row">
            <Act label="No rhythm" tone="faded" onPress={() => set(undefined)} />
          </View>
        </>
      ) : null}
    </View>
  );
}
