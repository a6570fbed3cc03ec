import { useState } from 'react';
import { View } from 'react-native';

import { readHistory, redo, undo } from '@/book/commit';
import type { Step } from '@/book/history';
import { selectSteps, useAppDispatch, useAppSelector } from '@/book/state';
import { formatDay, localMoment } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/settings/settings';
import { Act, OverPage, TitledPart, Txt, usePageTitle } from '@/ui';

/** Changes shown at first, and with each press on "Earlier changes". */
const SHOWN = 60;

/** What was changed in the book, the latest first; each change can be undone by itself. */
export function ChangesPage() {
  usePageTitle(texts.changes);
  const dispatch = useAppDispatch();
  const recent = useAppSelector(selectSteps);
  const [older, setOlder] = useState<readonly Step[]>([]);
  const [count, setCount] = useState(SHOWN);
  const all = [...new Map([...older, ...recent].map((step) => [step.id, step])).values()];
  const steps = all.sort((a, b) => (a.id < b.id ? 1 : -1));
  const showMore = async () => {
    if (older.length === 0) setOlder(await dispatch(readHistory()));
    setCount((now) => now + SHOWN);
  };
  const days = new Map<string, Step[]>();
  for (const step of steps.slice(0, count)) {
    const { day } = localMoment(Date.parse(step.at));
    days.set(day, [...(days.get(day) ?? []), step]);
  }
  return (
    <OverPage
      title={texts.changes}
      backLabel={texts.settings}
      onBack={() => go('/settings')}
      className="max-w-[640px] gap-6"
      testID="changes-page"
    >
      {steps.length === 0 ? <Txt tone="faded">{texts.nothingHasBeenChanged}</Txt> : null}
      {[...days].map(([day, some]) => (
        <TitledPart key={day} title={formatDay(day)}>
          {some.map((step) => (
            <ChangeRow key={step.id} step={step} />
          ))}
        </TitledPart>
      ))}
      {count < steps.length || (older.length === 0 && recent.length >= count) ? (
        <View className="flex-row">
          <Act label={texts.earlierChanges} onPress={() => void showMore()} testID="earlier-changes" />
        </View>
      ) : null}
    </OverPage>
  );
}

function ChangeRow({ step }: { readonly step: Step }) {
  const dispatch = useAppDispatch();
  const isDone = step.state === 'done';
  const isUnderWay = step.todo !== undefined || step.replaying !== undefined;
  const says = [
    step.cards > 1 ? texts.cards(step.cards) : '',
    step.talks > 1 ? texts.talks(step.talks) : '',
    isDone ? '' : texts.undone,
  ].filter(Boolean);
  return (
    <View testID="change" className="min-h-[44px] flex-row items-center gap-3 border-b border-rule">
      <View className="w-[46px]">
        <Txt size="small" tone="faded" isFigures>
          {localMoment(Date.parse(step.at)).time}
        </Txt>
      </View>
      <View className="min-w-0 flex-1 py-2">
        <Txt tone={isDone ? 'ink' : 'faded'}>{step.label}</Txt>
        {says.length === 0 ? null : (
          <Txt size="small" tone="faded" isFigures>
            {says.join(', ')}
          </Txt>
        )}
      </View>
      {isUnderWay || step.state === 'dropped' ? null : isDone ? (
        <Act
          label={texts.undo}
          name={texts.undoNamed(step.label)}
          tone="faded"
          onPress={() => void dispatch(undo(step.id))}
        />
      ) : (
        <Act
          label={texts.redo}
          name={texts.redoNamed(step.label)}
          tone="faded"
          onPress={() => void dispatch(redo(step.id))}
        />
      )}
    </View>
  );
}
