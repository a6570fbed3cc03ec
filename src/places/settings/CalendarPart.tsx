import { useState } from 'react';
import { View } from 'react-native';

import { changeSettings } from '@/book/commit';
import { publishCalendar } from '@/book/formats';
import { noticeShown, selectSettings, useAppDispatch, useAppSelector, useWhenRead } from '@/book/state';
import { useHub } from '@/book/sync';
import { errorMessage } from '@/core/base';
import { calendarAddress, newCalendarToken, removeCalendar } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/settings/settings';
import { Act, Copy, Switch, Txt } from '@/ui';

/** Birthdays and anniversaries at an address that any calendar program can follow. */
export function CalendarPart() {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const { calendarToken } = useAppSelector(selectSettings);
  const { pairing } = useHub();
  const [fault, setFault] = useState('');
  const isOn = calendarToken !== '';
  const turn = async (wished: boolean) => {
    setFault('');
    if (!wished) {
      await removeCalendar(calendarToken);
      dispatch(changeSettings({ calendarToken: '' }));
      return;
    }
    if (!pairing) return setFault(shared.thisBrowserHasToBePaired);
    dispatch(changeSettings({ calendarToken: newCalendarToken() }));
    await whenRead();
    try {
      await dispatch(publishCalendar());
    } catch (error) {
      setFault(texts.itIsTriedAgain(errorMessage(error)));
    }
  };
  const copy = async () => {
    await navigator.clipboard.writeText(calendarAddress(calendarToken));
    dispatch(noticeShown({ text: texts.copiedAddressOfCalendar, tone: 'plain' }));
  };
  return (
    <View>
      <Switch
        label={texts.calendarToSubscribeTo}
        hint={texts.birthdaysAndOtherDays}
        isOn={isOn}
        onChange={(wished) => void turn(wished)}
        testID="calendar-feed"
      />
      {isOn ? (
        <View className="pt-2" testID="calendar-address">
          <Txt isFigures>{calendarAddress(calendarToken)}</Txt>
          <Txt size="small" tone="faded">
            {texts.whoeverKnowsThisAddress}
          </Txt>
          <View className="flex-row">
            <Act label={texts.copyAddress} icon={Copy} onPress={() => void copy()} />
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
