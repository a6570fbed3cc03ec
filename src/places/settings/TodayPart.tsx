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
import { Choice, Field, OrderedChoice, Switch, Txt } from '@/ui';

const PART_NAMES: Readonly<Record<PartName, string>> = {
  almanac: 'Almanac of the coming days',
  greetings: 'Greetings',
  meetings: 'Meetings',
  followUps: 'Follow-ups',
  late: 'Late',
  due: 'Due today',
  news: 'News noticed',
  quiet: 'Gone quiet',
  pinned: 'Pinned',
};

/** What Today goes by. */
export function TodayPart() {
  const dispatch = useAppDispatch();
  const { leapDay, quietCount, todayParts } = useAppSelector(selectSettings);
  return (
    <View className="gap-3">
      <View>
        <Txt size="small" tone="faded">
          What Today shows, in this order
        </Txt>
        <OrderedChoice
          options={TODAY_PARTS.map((part) => [part, PART_NAMES[part]] as const)}
          chosen={todayParts}
          onChange={(parts) => dispatch(changeSettingsUndoably('Parts of Today', { todayParts: parts }))}
          nameOf={(title) => `${title} is shown`}
          testID="today-parts"
        />
      </View>
      <Field
        label="Gone quiet: at most"
        value={String(quietCount)}
        onChange={(text) =>
          dispatch(
            changeSettingsUndoably('How many gone quiet', {
              quietCount: Math.min(12, Number(text.replace(/\D/g, '')) || 0),
            }),
          )
        }
        kind="tel"
        hint="0 leaves the part out"
        testID="quiet-count"
      />
      <Notifies />
      <View>
        <Txt size="small" tone="faded">
          29 February, in a year without one
        </Txt>
        <Choice
          name="29 February, in a year without one"
          options={[
            ['february-28', 'Is kept on 28 February'],
            ['march-1', 'Is kept on 1 March'],
          ]}
          value={leapDay}
          onChange={(value) => dispatch(changeSettingsUndoably('Day for 29 February', { leapDay: value }))}
        />
      </View>
    </View>
  );
}

const HINTS = {
  allowed: 'Once a day, when Cordialis is opened or already open',
  unasked: 'The browser asks once whether it may',
  refused: 'Blocked in the browser; its settings can change that',
  missing: 'Not supported by this browser',
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
      label="A notification with what the day asks for"
      hint={HINTS[state]}
      isOn={notifies && state === 'allowed'}
      onChange={(isOn) => void change(isOn)}
      testID="notifies"
    />
  );
}
