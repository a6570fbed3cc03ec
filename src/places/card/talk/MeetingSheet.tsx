import { useState } from 'react';
import { View } from 'react-native';

import { parseWhen } from '@/core/base';
import { type Card, shownAs } from '@/core/card';
import type { Meeting, PlannedMeeting } from '@/core/talks';
import { localDay, LOCALE } from '@/platform';
import { texts } from '@/texts/card/talk';
import { Act, Field, NextAct, Send, Sheet, Trash, Txt } from '@/ui';

import { PeopleField } from './PeopleField';
import { useMeetingChanges } from './useMeetingChanges';
import { WhenField } from './WhenField';

/** Minutes of an appointment where nothing is said. */
const USUAL_MINUTES = 60;

interface MeetingSheetProps {
  readonly card: Card;
  /** The one that is changed; undefined for a new one. */
  readonly planned?: PlannedMeeting;
  readonly onClose: () => void;
}

/** An appointment with one or several people, and an invitation that their calendars understand. */
export function MeetingSheet({ card, planned, onClose }: MeetingSheetProps) {
  const known = planned?.meeting;
  const [title, setTitle] = useState(known?.title ?? '');
  const [when, setWhen] = useState(known?.day ?? '');
  const [time, setTime] = useState(known?.time ?? '');
  const [minutes, setMinutes] = useState(String(known?.minutes ?? USUAL_MINUTES));
  const [place, setPlace] = useState(known?.place ?? '');
  const [uids, setUids] = useState<readonly string[]>(planned?.uids ?? [card.uid]);
  const day = parseWhen(when, localDay(), LOCALE) ?? (when === known?.day ? known.day : undefined);
  const clock = toTime(time);
  const length = Number(minutes);
  const isLength = Number.isInteger(length) && length > 0 && length <= 24 * 60;
  const { save, remove } = useMeetingChanges(card, planned);
  const isWrong = title.trim() === '' || day === undefined || clock === undefined || !isLength;
  const keep = (isSent: boolean) => {
    if (day === undefined || clock === undefined) return;
    const meeting: Meeting = {
      ...{ title: title.trim(), day, minutes: length, sequence: known ? (known.sequence ?? 0) + 1 : 0 },
      ...(clock === '' ? {} : { time: clock }),
      ...(place.trim() === '' ? {} : { place: place.trim() }),
    };
    void save(meeting, uids, isSent).then(onClose);
  };
  return (
    <Sheet
      title={planned ? texts.appointment : texts.meetNamed(shownAs(card) || texts.them)}
      isOpen
      onClose={onClose}
    >
      <View className="gap-3">
        <Field label={texts.whatFor} value={title} onChange={setTitle} isFirst testID="meeting-title" />
        <WhenField
          label={texts.day}
          value={when}
          onChange={setWhen}
          day={day}
          placeholder={texts.nextThursday3March}
          example={texts.nextThursday}
          testID="meeting-day"
        />
        <Field
          label={texts.time}
          value={time}
          onChange={setTime}
          placeholder={texts.from1430OrEmpty}
          error={clock === undefined ? texts.enterTimeAs14 : undefined}
          testID="meeting-time"
        />
        <Field
          label={texts.minutes}
          value={minutes}
          onChange={setMinutes}
          kind="tel"
          error={isLength ? undefined : texts.anyNumberUpTo1440}
        />
        <Field label={texts.where} value={place} onChange={setPlace} testID="meeting-place" />
        <PeopleField label={texts.withOthers} uids={uids} onChange={setUids} />
        <NextAct label={texts.save} isDisabled={isWrong} onPress={() => keep(false)} testID="save-meeting" />
        <View className="flex-row flex-wrap gap-x-5">
          {isWrong ? null : (
            <Act
              label={texts.saveAndSendInvitation}
              icon={Send}
              onPress={() => keep(true)}
              testID="send-meeting"
            />
          )}
          {planned ? (
            <>
              <Act
                label={texts.delete}
                icon={Trash}
                tone="brick"
                onPress={() => void remove(false).then(onClose)}
              />
              <Act
                label={texts.deleteAndNotifyThem}
                icon={Send}
                tone="brick"
                onPress={() => void remove(true).then(onClose)}
              />
            </>
          ) : null}
        </View>
        <Txt size="small" tone="faded">
          {texts.invitationIsCalendarFile}
        </Txt>
      </View>
    </Sheet>
  );
}

/** HH:MM of what was typed: "9", "9.30", "1430"; '' for nothing, undefined for what is no time. */
function toTime(text: string): string | undefined {
  const plain = text.trim();
  if (plain === '') return '';
  const [, hour = '', minute = '00'] = /^(\d{1,2})(?:[:.h]?(\d\d))?$/.exec(plain) ?? [];
  if (hour === '' || Number(hour) > 23 || Number(minute) > 59) return undefined;
  return `${hour.padStart(2, '0')}:${minute}`;
}
