import { useEffect, useRef } from 'react';

import { publishCalendar } from '@/book/formats';
import { selectSaving, selectSettings, useAppDispatch, useAppSelector } from '@/book/state';

/** How long the book must be unchanged before its calendar is published again, in milliseconds. */
const REST_MS = 4000;

/** Keeps the calendar on the hub as the book is, where the user has an address for it. */
export function useCalendarFeed(): void {
  const dispatch = useAppDispatch();
  const saving = useAppSelector(selectSaving).kind;
  const { calendarToken } = useAppSelector(selectSettings);
  const hasChanged = useRef(false);
  useEffect(() => {
    // Only once something has been changed here, and is saved.
    if (saving === 'saving') hasChanged.current = true;
    if (saving !== 'saved' || !hasChanged.current || calendarToken === '') return;
    const timer = setTimeout(() => {
      hasChanged.current = false;
      // A hub that can't be reached now gets it with the next change.
      void dispatch(publishCalendar()).catch(() => undefined);
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [calendarToken, dispatch, saving]);
}
