import { useState } from 'react';
import { View } from 'react-native';

import { changeSettings } from '@/book/commit';
import { changeSettingsUndoably } from '@/book/settings';
import {
  selectSettings,
  TODAY_PARTS,
  type TodayPart as PartName,
  useAppDispatch,
  useAppSelector,
} from '@/book/state';
import { askToNotify, notifying } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Choice, Field, OrderedChoice, Switch, Txt } from '@/ui';

const PART_NAMES: Readonly<Record<PartName, string>> = {
  almanac: texts.almanacOfComingDays,
  greetings: texts.greetings,
  meetings: texts.meetings,
  followUps: texts.followUps,
  late: texts.late,
  due: texts.dueToday,
  news: texts.newsNoticed,
  quiet: texts.goneQuiet,
  pinned: texts.pinned,
};

/** Settings of Today. */
export function TodayPart() {
  const dispatch = useAppDispatch();
  const { leapDay, quietCount, todayParts } = useAppSelector(selectSettings);
  return (
    <View className="gap-3">
      <View>
        <Txt size="small" tone="faded">
          {texts.whatTodayShowsInThisOrder}
        </Txt>
        <OrderedChoice
          options={TODAY_PARTS.map((part) => [part, PART_NAMES[part]] as const)}
          chosen={todayParts}
          onChange={(parts) => dispatch(changeSettingsUndoably(texts.partsOfToday, { todayParts: parts }))}
          nameOf={(title) => texts.isShown(title)}
          testID="today-parts"
        />
      </View>
      <Field
        label={texts.goneQuietAtMost}
        value={String(quietCount)}
        onChange={(text) =>
          dispatch(
            changeSettingsUndoably(texts.howManyGoneQuiet, {
              quietCount: Math.min(12, Number(text.replace(/\D/g, '')) || 0),
            }),
          )
        }
        kind="tel"
        hint={texts.from0LeavesPartOut}
        testID="quiet-count"
      />
      <Notifies />
      <View>
        <Txt size="small" tone="faded">
          {texts.from29FebruaryInYear}
        </Txt>
        <Choice
          name={texts.from29FebruaryInYear}
          options={[
            ['february-28', texts.isKeptOn28],
            ['march-1', texts.isKeptOn1],
          ]}
          value={leapDay}
          onChange={(value) => dispatch(changeSettingsUndoably(texts.dayFor29February, { leapDay: value }))}
        />
      </View>
    </View>
  );
}

const HINTS = {
  allowed: texts.onceDayWhenCordialis,
  unasked: texts.browserAsksOnceWhether,
  refused: texts.blockedInBrowserItsSettings,
  missing: texts.notSupportedByThisBrowser,
};

/** Whether the browser says what the day asks for. */
function Notifies() {
  const dispatch = useAppDispatch();
  const { notifies } = useAppSelector(selectSettings);
  const [state, setState] = useState(notifying);
  const change = async (isOn: boolean) => {
    if (isOn) setState(await askToNotify());
    dispatch(changeSettings({ notifies: isOn && notifying() === 'allowed' }));
  };
  return (
    <Switch
      label={texts.notificationWithWhatDay}
      hint={HINTS[state]}
      isOn={notifies && state === 'allowed'}
      onChange={(isOn) => void change(isOn)}
      testID="notifies"
    />
  );
}
