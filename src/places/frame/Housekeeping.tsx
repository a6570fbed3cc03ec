import { selectSettings, useAppSelector } from '@/book/state';

import { DayNotice } from './DayNotice';
import { useBackupReminder } from './useBackupReminder';
import { useCalendarFeed } from './useCalendarFeed';
import { useInstalling } from './useInstalling';
import { useStill } from './useStill';

/** What the page does by itself, once it stands: reminders, the calendar, working without a network. Nothing to see. */
export function Housekeeping() {
  const { notifies } = useAppSelector(selectSettings);
  useBackupReminder();
  useCalendarFeed();
  useInstalling();
  useStill();
  return notifies ? <DayNotice /> : null;
}
