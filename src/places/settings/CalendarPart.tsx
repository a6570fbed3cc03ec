import { useState } from 'react';
import { View } from 'react-native';

import { changeSettings } from '@/book/commit';
import { publishCalendar } from '@/book/formats';
import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useWhenRead } from '@/book/state';
import { errorMessage } from '@/core/base';
import { calendarAddress, newCalendarToken, removeCalendar } from '@/platform';
import { Act, Copy, Switch, Txt } from '@/ui';

/** Birthdays and anniversaries at an address that any calendar program can follow. */
export function CalendarPart() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const { calendarToken } = useAppSelector(selectSettings);
  const [fault, setFault] = useState('');
  const isOn = calendarToken !== '';
  const turn = async (wished: boolean) => {
    setFault('');
    if (!wished) {
      await removeCalendar(calendarToken);
      dispatch(changeSettings({ calendarToken: '' }));
      return;
    }
    dispatch(changeSettings({ calendarToken: newCalendarToken() }));
    await whenRead();
    try {
      await dispatch(publishCalendar());
    } catch (error) {
      setFault(`${errorMessage(error)}; it is tried again after the next change`);
    }
  };
  const copy = async () => {
    await navigator.clipboard.writeText(calendarAddress(calendarToken));
    dispatch(noticeShown({ text: 'Copied the address of the calendar', tone: 'plain' }));
  };
  return (
    <View>
      <Switch
        label="Calendar to subscribe to"
        hint="Birthdays and other days, kept up with the book; private cards are not in it"
        isOn={isOn}
        onChange={(wished) => void turn(wished)}
        testID="calendar-feed"
      />
      {isOn ? (
        <View className="pt-2" testID="calendar-address">
          <Txt isFigures>{calendarAddress(calendarToken)}</Txt>
          <Txt size="small" tone="faded">
            Whoever knows this address can read it. Turning it off takes it away; turning it on again makes a
            new one.
          </Txt>
          <View className="flex-row">
            <Act label="Copy the address" icon={Copy} onPress={() => void copy()} />
          </View>
        </View>
      ) : null}
      {fault === '' ? null : (
        <View role="alert">
          <Txt tone="brick">{fault}</Txt>
        </View>
      )}
    </View>
  );
}
